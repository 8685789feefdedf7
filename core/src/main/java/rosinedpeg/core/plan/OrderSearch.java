package rosinedpeg.core.plan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * Finds the order of a change.
 *
 * <p>Every string is in one of five states: as before, set aside, off, new, new and set aside. A school allows some moves
 * between them; a string comes off or goes on only while those that lie over its peg make way. What is broken already is off
 * at the start and bends the schools' rules: no sound string comes off before it is replaced, except where all come off
 * together or its mate of the same side lies over its peg, and neither one a day nor pair by side keeps it waiting. Among all ways from the
 * first state to the last, those are kept whose least load on the treble foot is highest (a widest path), and of these
 * the one with the fewest strings set aside (Dijkstra's shortest path over what is left). Exact: at most 2 · 5⁵ states.
 */
final class OrderSearch {

    /** What is done to one string. */
    enum Kind {
        RETURN,
        ON,
        OFF,
        SET_ASIDE,
        /** Every string is on and the instrument rests until the next day. */
        NIGHT
    }

    /** One move; a night has no position. */
    record Move(Kind kind, @Nullable Position position) {

        Optional<Position> string() {
            return Optional.ofNullable(position);
        }
    }

    private static final int BEFORE = 0;
    private static final int ASIDE = 1;
    private static final int OFF = 2;
    private static final int NEW = 3;
    private static final int NEW_ASIDE = 4;
    private static final int STATES = 5;

    private final ChangeRequest request;
    private final List<Position> positions;
    /** Indices of the chosen strings, in the order of the school. */
    private final int[] wanted;
    /** The same as bits. */
    private final int all;
    /** For each string the bits of those that lie over its peg. */
    private final int[] over;
    /** For each string the bits of the others of its side. */
    private final int[] pair;
    /** The broken strings as bits. */
    private final int broken;

    private final boolean[] outer;
    private final Schools.Off off;
    private final boolean anyOrder;
    private final double[] weights;
    private final int[] power;
    private final double[][] trebleShare;
    private final double[][] bassShare;

    OrderSearch(ChangeRequest request, InstrumentLoad load, Map<Position, Double> before, Map<Position, Double> after) {
        this.request = request;
        SetUp setUp = request.setUp();
        this.positions = setUp.positions();
        this.wanted = order(request).stream().mapToInt(positions::indexOf).toArray();
        this.all = bits(request.replacements().keySet());
        this.broken = bits(request.broken());
        this.over = new int[positions.size()];
        this.pair = new int[positions.size()];
        this.outer = new boolean[positions.size()];
        for (int i = 0; i < positions.size(); i++) {
            Position position = positions.get(i);
            int half = setUp.half(position);
            over[i] = bits(request.over(position));
            outer[i] = setUp.isOuter(position);
            pair[i] = bits(positions.stream()
                    .filter(other -> other != position && half != 0 && half == setUp.half(other))
                    .toList());
        }
        this.off = request.schools().order().off();
        this.anyOrder = request.schools().order().begin() == Schools.Begin.BEST_HELD;
        this.power = new int[positions.size() + 1];
        power[0] = 1;
        for (int i = 1; i < power.length; i++) {
            power[i] = power[i - 1] * STATES;
        }
        this.trebleShare = new double[positions.size()][STATES];
        this.bassShare = new double[positions.size()][STATES];
        for (int i = 0; i < positions.size(); i++) {
            Position position = positions.get(i);
            double[] tensions = {
                before.get(position),
                before.get(position) * InstrumentLoad.SET_ASIDE,
                0,
                after.get(position),
                after.get(position) * InstrumentLoad.SET_ASIDE
            };
            for (int state = 0; state < STATES; state++) {
                LoadShares shares = load.shares(Map.of(position, tensions[state]));
                trebleShare[i][state] = shares.treble();
                bassShare[i][state] = shares.bass();
            }
        }
        this.weights = new double[2 * power[positions.size()]];
        Arrays.fill(weights, Double.NaN);
    }

    private int bits(Collection<Position> some) {
        return some.stream()
                .mapToInt(position -> 1 << positions.indexOf(position))
                .sum();
    }

    /** {@return the chosen strings in the order a school takes them; for best held the order to prefer where it makes no difference} */
    static List<Position> order(ChangeRequest request) {
        SetUp setUp = request.setUp();
        Comparator<Position> comparator = switch (request.schools().order().begin()) {
            case TOP_DOWN -> Comparator.naturalOrder();
            case BOTTOM_UP -> Comparator.reverseOrder();
            case BASS_SIDE_FIRST ->
                Comparator.comparing((Position position) -> -setUp.half(position))
                        .thenComparing(setUp::isOuter);
            case INNER_FIRST, BEST_HELD ->
                Comparator.comparing(setUp::isOuter).thenComparing(Comparator.naturalOrder());
        };
        return request.replacements().keySet().stream().sorted(comparator).toList();
    }

    /** {@return the moves, from the present state to every chosen string new and none set aside; never none} */
    List<Move> search() {
        double floor = widestPath();
        return shortestPath(floor);
    }

    private int start() {
        int state = 0;
        for (Position position : request.broken()) {
            state += OFF * power[positions.indexOf(position)];
        }
        return state * 2;
    }

    private boolean isGoal(int node) {
        for (int i = 0; i < positions.size(); i++) {
            if (at(node, i) != (has(all, i) ? NEW : BEFORE)) {
                return false;
            }
        }
        return true;
    }

    private int at(int node, int i) {
        return node / 2 / power[i] % STATES;
    }

    /** {@return the least treble-foot share of the best way; the start itself does not count, it cannot be helped} */
    private double widestPath() {
        double[] best = new double[weights.length];
        Arrays.fill(best, Double.NEGATIVE_INFINITY);
        PriorityQueue<double[]> queue = new PriorityQueue<>((a, b) -> Double.compare(b[0], a[0]));
        best[start()] = Double.POSITIVE_INFINITY;
        queue.add(new double[] {Double.POSITIVE_INFINITY, start()});
        while (!queue.isEmpty()) {
            double[] entry = queue.remove();
            int node = (int) entry[1];
            if (entry[0] < best[node]) {
                continue;
            }
            if (isGoal(node)) {
                return entry[0];
            }
            for (Edge edge : edges(node)) {
                double width = Math.min(entry[0], weight(edge.to()));
                if (width > best[edge.to()]) {
                    best[edge.to()] = width;
                    queue.add(new double[] {width, edge.to()});
                }
            }
        }
        throw new IllegalStateException(
                "no order leads from " + request.present().keySet() + " to the end");
    }

    private List<Move> shortestPath(double floor) {
        int[] cost = new int[weights.length];
        Arrays.fill(cost, Integer.MAX_VALUE);
        Edge[] arrivedBy = new Edge[weights.length];
        PriorityQueue<int[]> queue = new PriorityQueue<>(
                Comparator.comparingInt((int[] entry) -> entry[0]).thenComparingInt(entry -> entry[2]));
        int inserted = 0;
        cost[start()] = 0;
        queue.add(new int[] {0, start(), inserted++});
        while (!queue.isEmpty()) {
            int[] entry = queue.remove();
            int node = entry[1];
            if (entry[0] > cost[node]) {
                continue;
            }
            if (isGoal(node)) {
                return moves(arrivedBy, node);
            }
            for (Edge edge : edges(node)) {
                int next = entry[0] + (edge.move().kind() == Kind.SET_ASIDE ? 1 : 0);
                if (weight(edge.to()) >= floor - 1e-12 && next < cost[edge.to()]) {
                    cost[edge.to()] = next;
                    arrivedBy[edge.to()] = edge;
                    queue.add(new int[] {next, edge.to(), inserted++});
                }
            }
        }
        throw new IllegalStateException("the widest path was lost");
    }

    private static List<Move> moves(Edge[] arrivedBy, int goal) {
        Deque<Move> moves = new ArrayDeque<>();
        for (Edge edge = arrivedBy[goal]; edge != null; edge = arrivedBy[edge.from()]) {
            moves.addFirst(edge.move());
        }
        return List.copyOf(moves);
    }

    /** {@return the treble-foot share of a state; −1 where the bass foot would lift} */
    private double weight(int node) {
        if (Double.isNaN(weights[node])) {
            double treble = 0;
            double bass = 0;
            for (int i = 0; i < positions.size(); i++) {
                treble += trebleShare[i][at(node, i)];
                bass += bassShare[i][at(node, i)];
            }
            weights[node] = new LoadShares(bass, treble).bassFootLifts() ? -1 : treble;
        }
        return weights[node];
    }

    /** A move from one state to another. */
    private record Edge(int from, Move move, int to) {}

    /** The last bit of a state: whether a string was put on today and the instrument has to rest before the next. */
    private List<Edge> edges(int node) {
        return new Moment(node).edges();
    }

    /** A state taken apart: which strings, as bits, are as before, aside, off, new. */
    private final class Moment {

        private final int node;
        private final boolean restDue;
        private int lyingOn;
        private int aside;
        private int isOff;
        private int isNew;

        private Moment(int node) {
            this.node = node;
            this.restDue = node % 2 == 1;
            for (int i = 0; i < positions.size(); i++) {
                int bit = 1 << i;
                switch (at(node, i)) {
                    case BEFORE -> lyingOn |= bit;
                    case ASIDE -> aside |= bit;
                    case OFF -> isOff |= bit;
                    case NEW -> {
                        lyingOn |= bit;
                        isNew |= bit;
                    }
                    default -> {
                        aside |= bit;
                        isNew |= bit;
                    }
                }
            }
        }

        private List<Edge> edges() {
            List<Edge> edges = new ArrayList<>();
            for (int i = 0; i < positions.size(); i++) {
                if (has(aside, i)) {
                    edges.add(edge(Kind.RETURN, i, has(isNew, i) ? NEW : BEFORE, restDue));
                }
            }
            if (restDue && isOff == 0 && aside == 0) {
                edges.add(new Edge(node, new Move(Kind.NIGHT, null), node - 1));
            }
            boolean rests = off == Schools.Off.ONE_A_DAY && (all & ~isNew & ~isOff) != 0;
            for (int i : wanted) {
                if (has(isOff, i) && mayGoOn(i)) {
                    edges.add(edge(Kind.ON, i, NEW, restDue || rests));
                }
            }
            for (int i : wanted) {
                if (!restDue && !has(isOff | isNew, i) && mayComeOff(i)) {
                    edges.add(edge(Kind.OFF, i, OFF, false));
                }
            }
            for (int i = 0; i < positions.size(); i++) {
                if (has(lyingOn, i) && liesOverWork(i)) {
                    edges.add(edge(Kind.SET_ASIDE, i, has(isNew, i) ? NEW_ASIDE : ASIDE, restDue));
                }
            }
            return edges;
        }

        private Edge edge(Kind kind, int i, int state, boolean restDueThen) {
            int to = (node & ~1) + 2 * power[i] * (state - at(node, i));
            return new Edge(node, new Move(kind, positions.get(i)), restDueThen ? to | 1 : to);
        }

        /** Before the instrument rests, only what is off still has to be reached. */
        private boolean liesOverWork(int i) {
            for (int other : wanted) {
                if (!has(isNew, other) && (!restDue || has(isOff, other)) && has(over[other], i)) {
                    return true;
                }
            }
            return false;
        }

        private boolean mayComeOff(int i) {
            if ((over[i] & lyingOn) != 0) {
                return false;
            }
            return switch (off) {
                case ONE_AT_A_TIME, ONE_A_DAY -> isOff == 0 && isNextInOrder(i);
                case TOGETHER -> isNew == 0 && isNextInOrder(i);
                case PAIR_BY_SIDE -> {
                    int mates = pair[i] & all;
                    int replaced = isNew & broken;
                    boolean pairBegun = isOff != 0;
                    boolean innerFirst = !outer[i] || (mates & ~isOff & ~replaced) == 0;
                    yield innerFirst
                            && (isNew & mates & ~broken) == 0
                            && (pairBegun ? (isOff & ~mates) == 0 : anyOrder || (pairOf(nextInOrder()) & 1 << i) != 0);
                }
            };
        }

        private boolean mayGoOn(int i) {
            if ((over[i] & lyingOn) != 0) {
                return false;
            }
            return switch (off) {
                case ONE_AT_A_TIME, ONE_A_DAY -> true;
                case TOGETHER -> (all & ~isOff & ~isNew) == 0 && (anyOrder || i == lastInOrderThatIsOff());
                case PAIR_BY_SIDE -> {
                    int mates = pair[i] & all;
                    yield has(broken, i)
                            ? outer[i] || (mates & isOff) == 0
                            : (mates & ~(outer[i] ? isOff | isNew & broken : isNew)) == 0;
                }
            };
        }

        private boolean isNextInOrder(int i) {
            return anyOrder || i == nextInOrder();
        }

        private int nextInOrder() {
            for (int i : wanted) {
                if (!has(isNew | isOff, i)) {
                    return i;
                }
            }
            return -1;
        }

        private int lastInOrderThatIsOff() {
            int last = -1;
            for (int i : wanted) {
                last = has(isOff, i) ? i : last;
            }
            return last;
        }

        private int pairOf(int i) {
            return pair[i] | 1 << i;
        }
    }

    private static boolean has(int bits, int i) {
        return (bits >> i & 1) == 1;
    }
}
