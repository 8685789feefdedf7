package rosinedpeg.web.platform;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The tables a workshop has something in. Whoever takes all of it somewhere, or away, asks the database which they are, so that
 * none is forgotten.
 */
@Component
public class WorkshopTables {

    /** Tables that have a column of that name. */
    private static final String TABLES_WITH =
            "select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = ?"
                    + " where c.relnamespace = current_schema()::regnamespace and c.relkind = 'r' order by c.relname";
    /** Which table points to which. */
    private static final String REFERENCES =
            "select child.relname as child, parent.relname as parent from pg_constraint f"
                    + " join pg_class child on child.oid = f.conrelid join pg_class parent on parent.oid = f.confrelid"
                    + " where f.contype = 'f' and f.connamespace = current_schema()::regnamespace";

    private final JdbcClient database;

    WorkshopTables(JdbcClient database) {
        this.database = database;
    }

    /** {@return the tables that have a column of that name} */
    public List<String> with(String column) {
        return database.sql(TABLES_WITH).param(column).query(String.class).list();
    }

    /** {@return the columns that point to a table, but for that of the workshop, which stands in every key} */
    public List<Pointing> pointingTo(String table) {
        return database.sql("select child.relname as table, a.attname as column from pg_constraint f"
                        + " join pg_class child on child.oid = f.conrelid join pg_class parent on parent.oid = f.confrelid"
                        + " join pg_attribute a on a.attrelid = child.oid and a.attnum = any (f.conkey)"
                        + " where f.contype = 'f' and f.connamespace = current_schema()::regnamespace"
                        + " and parent.relname = ? and a.attname <> 'workshop_id' order by 1, 2")
                .param(table)
                .query(Pointing.class)
                .list();
    }

    /**
     * A column that points to another table.
     *
     * @param table the table it is in
     * @param column the column
     */
    public record Pointing(String table, String column) {}

    /** {@return the tables of a workshop, each before those it points to} */
    public List<String> childrenFirst() {
        List<String> left = new ArrayList<>(with("workshop_id"));
        List<Reference> references = database.sql(REFERENCES)
                .query((row, number) -> new Reference(row.getString("child"), row.getString("parent")))
                .list();
        List<String> order = new ArrayList<>();
        while (!left.isEmpty()) {
            Set<String> pointedTo = new HashSet<>();
            references.stream()
                    .filter(one -> left.contains(one.child()) && !one.child().equals(one.parent()))
                    .forEach(one -> pointedTo.add(one.parent()));
            List<String> free =
                    left.stream().filter(table -> !pointedTo.contains(table)).toList();
            if (free.isEmpty()) {
                throw new IllegalStateException("these tables point to each other in a ring: " + left);
            }
            order.addAll(free);
            left.removeAll(free);
        }
        return order;
    }

    /** {@return the tables of a workshop, each after those it points to} */
    public List<String> parentsFirst() {
        List<String> order = new ArrayList<>(childrenFirst());
        Collections.reverse(order);
        return order;
    }

    private record Reference(String child, String parent) {}
}
