package rosinedpeg.core.wear;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.estimate.KaplanMeier;
import rosinedpeg.core.estimate.Posterior;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;

/**
 * How long a kind of string lasts, learned from a workshop's own.
 *
 * <p>Playing and time use a string up together, {@link Wear}, so what is learned is one <i>factor</i>: how many times the
 * life that was thought of a string of this kind has. A string of 360 h and 12 months, thought to last 300 h and 30 months,
 * had 1.6 of that life. Its player's demand is taken out beforehand ({@link Lived#shareOf}): strings that are changed at 0.8
 * because somebody wants them fresh do not say that the kind is short-lived.
 *
 * <p>Lives scatter as Weibull has it (<i>Journal of Applied Mechanics</i> 18, 1951): {@code 2^−(v/factor)^shape} of the strings
 * go on beyond {@code v} lives, so that half of them reach the factor. The shape says how alike they are: 1 when they end by
 * chance, 3 when most end between half and one and a half of it. A string that is over counts with the density there, one that
 * is still good with what goes on, so that no string has to end to be heard.
 *
 * <p>The life that was thought of takes part as if it had been observed: the logarithm of the factor is 0 give or take {@value
 * #SPREAD_LN_FACTOR}, that of the shape the one of {@value #USUAL_SHAPE} give or take {@value #SPREAD_LN_SHAPE}. Before the
 * first string is over it stands untouched; a few pull it a little; many outweigh it. The best fit is found by Nelder and
 * Mead's method; intervals are read off the {@link Posterior}, from the 5th to the 95th hundredth of its weight. The table in
 * {@code docs/arithmetic.md} shows how often the truth lies in one.
 *
 * <p>For one demand the strings of the others are heard first. What they say is then the life that was thought of, a little
 * less firmly: players differ by {@value #SPREAD_LN_DEMAND} in the logarithm.
 */
public final class LearnedLife {

    /** How widely ln factor scatters from kind to kind, when nobody has worn one out. */
    public static final double SPREAD_LN_FACTOR = 0.5;
    /** How alike strings of one kind usually last. */
    public static final double USUAL_SHAPE = 3;
    /** How widely ln shape scatters. */
    public static final double SPREAD_LN_SHAPE = 0.4;
    /** How widely ln factor scatters from one demand to another. */
    public static final double SPREAD_LN_DEMAND = 0.2;
    /** From how many strings that are over a learned life is no longer said to rest on few. */
    public static final int ENOUGH = 5;

    private static final double LOW_SHARE = 0.05;
    private static final double HIGH_SHARE = 0.95;
    private static final double LN_2 = Math.log(2);
    /** As near as the best fit is looked for, in the logarithm of how probable it is; found long before so many tries. */
    private static final double EXACTLY = 1e-10;

    private static final int EVALUATIONS = 4000;
    /** How far the two may lean on one another along the grid. */
    private static final double MOST_LEANING = 0.9;

    /** What is thought of the two before the strings are heard. */
    private record Prior(double lnFactor, double spreadLnFactor, double lnShape, double spreadLnShape) {

        private double lnProbability(double atLnFactor, double atLnShape) {
            double fromFactor = (atLnFactor - lnFactor) / spreadLnFactor;
            double fromShape = (atLnShape - lnShape) / spreadLnShape;
            return -(fromFactor * fromFactor + fromShape * fromShape) / 2;
        }
    }

    private static final Prior USUAL = new Prior(0, SPREAD_LN_FACTOR, Math.log(USUAL_SHAPE), SPREAD_LN_SHAPE);

    private final Life thought;
    private final Prior prior;
    private final List<KaplanMeier.Watched> strings;
    private final int over;
    private final int overElsewhere;
    private final double lnFactor;
    private final double lnShape;
    /** The logarithm of how long each string was watched, in the order of the strings. */
    private final double[] lnLengths;
    /** Weighed when an interval is first asked for: most who learn want the best guess alone. */
    private volatile @Nullable Posterior posterior;

    private LearnedLife(Life thought, Prior prior, List<Lived> lived, int overElsewhere) {
        this.thought = requireNonNull(thought, "thought");
        this.prior = prior;
        this.strings = lived.stream()
                .filter(string -> string.counts(thought))
                .map(string -> new KaplanMeier.Watched(string.shareOf(thought), string.over()))
                .toList();
        this.lnLengths = strings.stream()
                .mapToDouble(string -> Math.log(string.length()))
                .toArray();
        this.over = (int) strings.stream().filter(KaplanMeier.Watched::over).count();
        this.overElsewhere = overElsewhere;
        double[] best = {prior.lnFactor(), prior.lnShape()};
        if (over > 0) {
            best = new SimplexOptimizer(EXACTLY, EXACTLY)
                    .optimize(
                            new MaxEval(EVALUATIONS),
                            GoalType.MAXIMIZE,
                            new InitialGuess(best),
                            new ObjectiveFunction(at -> lnProbability(at[0], at[1])),
                            new NelderMeadSimplex(new double[] {0.1, 0.1}))
                    .getPoint();
        }
        this.lnFactor = best[0];
        this.lnShape = best[1];
    }

    /**
     * Learns from strings of one kind, whoever played them.
     *
     * @param thought how long such a string is thought to last
     * @param strings of that kind; may be empty
     * @return what they say
     */
    public static LearnedLife of(Life thought, List<Lived> strings) {
        return new LearnedLife(thought, USUAL, strings, 0);
    }

    /**
     * Learns from strings of one kind for players who want them so fresh.
     *
     * @param thought how long such a string is thought to last
     * @param strings of that kind, whoever played them; may be empty
     * @param demand whose strings are asked for
     * @return what they say
     */
    public static LearnedLife of(Life thought, List<Lived> strings, Demand demand) {
        requireNonNull(demand, "demand");
        LearnedLife others = of(
                thought,
                strings.stream().filter(string -> string.demand() != demand).toList());
        List<Lived> own =
                strings.stream().filter(string -> string.demand() == demand).toList();
        if (others.over == 0) {
            return of(thought, own);
        }
        Posterior.Scatter scatter = others.scatter();
        return new LearnedLife(
                thought,
                new Prior(
                        others.lnFactor,
                        Math.hypot(Math.sqrt(scatter.first()), SPREAD_LN_DEMAND),
                        others.lnShape,
                        Math.sqrt(scatter.second())),
                own,
                others.over);
    }

    /** {@return whether any string was over, so that something was learned} */
    public boolean isLearned() {
        return over + overElsewhere > 0;
    }

    /** {@return whether it rests on fewer strings than {@value #ENOUGH} that are over} */
    public boolean restsOnFew() {
        return over + overElsewhere < ENOUGH;
    }

    /** {@return how many of the strings it rests on are over} */
    public int over() {
        return over;
    }

    /** {@return how many of them were still good when they were last seen} */
    public int stillGood() {
        return strings.size() - over;
    }

    /** {@return how many strings of other demands are over that were heard first} */
    public int overElsewhere() {
        return overElsewhere;
    }

    /** {@return how many times the life that was thought of half of such strings reach; 1 before anything was learned} */
    public double factor() {
        return Math.exp(lnFactor);
    }

    /** {@return the factor with the interval it lies in about nine times in ten} */
    public Interval factorWithin() {
        Posterior.Following factor = posterior().following((atLnFactor, atLnShape) -> Math.exp(atLnFactor));
        return new Interval(
                Math.min(factor(), factor.below(LOW_SHARE)), factor(), Math.max(factor(), factor.below(HIGH_SHARE)));
    }

    /** {@return how alike such strings last: 1 when they end by chance, more the more alike} */
    public double shape() {
        return Math.exp(lnShape);
    }

    /** {@return how long such a string lasts; the life that was thought of before anything was learned} */
    public Life life() {
        return isLearned() ? times(thought, factor()) : thought;
    }

    /** {@return a life so many times as long, as far as a life may be; learned} */
    public static Life times(Life thought, double factor) {
        requireFinite("factor", factor);
        return new Life(
                Life.HOURS.clamp(thought.hours() * factor),
                Life.MONTHS.clamp(thought.months() * factor),
                Origin.LEARNED);
    }

    /**
     * How many of such strings are still good.
     *
     * @param lives how many times the life that was thought of, 0 or more
     * @return the share of them, 0 to 1, with the interval it lies in about nine times in ten
     */
    public Interval stillGoodAfter(double lives) {
        requireFinite("lives", lives);
        if (lives < 0) {
            throw new IllegalArgumentException("lives is " + lives + "; it must be 0 or more");
        }
        double share = goOn(lives, lnFactor, lnShape);
        Posterior.Following within =
                posterior().following((atLnFactor, atLnShape) -> goOn(lives, atLnFactor, atLnShape));
        return new Interval(Math.min(share, within.below(LOW_SHARE)), share, Math.max(share, within.below(HIGH_SHARE)));
    }

    /**
     * How long such strings go on until only so many are still good.
     *
     * @param share of them, above 0 and below 1
     * @return how many times the life that was thought of, with the interval it lies in about nine times in ten
     */
    public Interval livesUntil(double share) {
        requireFinite("share", share);
        if (share <= 0 || share >= 1) {
            throw new IllegalArgumentException("share is " + share + "; it must be above 0 and below 1");
        }
        double lives = until(share, lnFactor, lnShape);
        Posterior.Following within =
                posterior().following((atLnFactor, atLnShape) -> until(share, atLnFactor, atLnShape));
        return new Interval(Math.min(lives, within.below(LOW_SHARE)), lives, Math.max(lives, within.below(HIGH_SHARE)));
    }

    /**
     * When each of a few such strings is over, if they are as unlike as strings of this kind are.
     *
     * @param strings how many, 1 or more
     * @return how many times the life that was thought of each reaches, the first to end first
     */
    public List<Interval> ends(int strings) {
        return IntStream.range(0, strings)
                .mapToObj(string -> livesUntil(1 - (2 * string + 1) / (2.0 * strings)))
                .toList();
    }

    /**
     * How many of the strings themselves were still good, told without any law.
     *
     * @param lives how many times the life that was thought of, 0 or more
     * @return the share of them, 0 to 1, by {@link KaplanMeier}; empty where none was watched for so long and not all are over
     */
    public Optional<Double> stillGoodByThemselves(double lives) {
        requireFinite("lives", lives);
        if (lives < 0) {
            throw new IllegalArgumentException("lives is " + lives + "; it must be 0 or more");
        }
        boolean watched = strings.stream().anyMatch(string -> string.length() >= lives);
        double share = 1;
        for (KaplanMeier.Fall fall : KaplanMeier.of(strings)) {
            if (fall.length() <= lives) {
                share = fall.share();
            }
        }
        return watched || share == 0 && !strings.isEmpty() ? Optional.of(share) : Optional.empty();
    }

    /** {@return hours played that so many of the lives that were thought of come to, when nothing but playing uses a string up} */
    public Figure hours(double lives) {
        requireFinite("lives", lives);
        return Figure.workedOut(lives * thought.hours(), Unit.HOUR, thought.origin());
    }

    // --- the fit -----------------------------------------------------------------------------------------------------

    private static double goOn(double lives, double lnFactor, double lnShape) {
        return Math.exp(-LN_2 * Math.pow(lives / Math.exp(lnFactor), Math.exp(lnShape)));
    }

    private static double until(double share, double lnFactor, double lnShape) {
        return Math.exp(lnFactor) * Math.pow(-Math.log(share) / LN_2, Math.exp(-lnShape));
    }

    private double lnProbability(double atLnFactor, double atLnShape) {
        double shape = Math.exp(atLnShape);
        double ln = prior.lnProbability(atLnFactor, atLnShape);
        for (int i = 0; i < lnLengths.length; i++) {
            double z = shape * (lnLengths[i] - atLnFactor);
            ln -= LN_2 * Math.exp(z);
            if (strings.get(i).over()) {
                ln += atLnShape + z;
            }
        }
        return ln;
    }

    private Posterior posterior() {
        Posterior weighed = posterior;
        if (weighed == null) {
            weighed = new Posterior(lnFactor, lnShape, scatter(), Posterior.Laid.ASKEW, this::lnProbability);
            posterior = weighed;
        }
        return weighed;
    }

    /** The inverse of the curvature at the best fit. */
    private Posterior.Scatter scatter() {
        double shape = shape();
        double factors = 1 / (prior.spreadLnFactor() * prior.spreadLnFactor());
        double shapes = 1 / (prior.spreadLnShape() * prior.spreadLnShape());
        double both = 0;
        for (KaplanMeier.Watched string : strings) {
            double z = shape * (Math.log(string.length()) - lnFactor);
            double w = LN_2 * Math.exp(z);
            factors += shape * shape * w;
            shapes += z * w + z * z * w - (string.over() ? z : 0);
            both += shape * ((string.over() ? 1 : 0) - w - z * w);
        }
        // Away from the best fit of the strings alone the curvature need not be a hill; what was thought beforehand is
        // one.
        shapes = Math.max(shapes, 1 / (prior.spreadLnShape() * prior.spreadLnShape()));
        double most = MOST_LEANING * Math.sqrt(factors * shapes);
        both = Math.max(-most, Math.min(most, both));
        double determinant = factors * shapes - both * both;
        return new Posterior.Scatter(shapes / determinant, factors / determinant, -both / determinant);
    }
}
