package rosinedpeg.web.platform;

/** A column that is read of a table; what stands in it is told by its name. */
public interface TableColumn {

    /** {@return its heading, as maker or tension_n} */
    String heading();
}
