package rosinedpeg.web.kinds;

import static rosinedpeg.web.platform.Entry.orEmpty;

import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.core.wear.Life;
import rosinedpeg.web.platform.Say;

/**
 * What a packet says of a string, as typed. What is empty was not said.
 *
 * @param maker who makes it, as the workshop calls them
 * @param line what the maker calls it
 * @param size family and size it is made for, as VIOLIN 4/4
 * @param position where it goes
 * @param pitch what it is tuned to
 * @param core what is inside
 * @param winding what is wound round it
 * @param end how its tail end is finished
 * @param designLength the vibrating length it is made for, in mm
 * @param known what is known of how hard it pulls
 * @param tension in N
 * @param mass in g a metre
 * @param weighed what scales showed, in g
 * @param weighedLength the length of what was on them, in mm
 * @param scaleStep the step of the scales, in g
 * @param gauge how its maker grades it
 * @param diameter in mm
 * @param axialStiffness in N
 * @param tailSilk from the ball to where the tail silk ends, in mm
 * @param topSilk from the ball to where the top silk starts, in mm
 * @param total from the ball to the tip, in mm
 * @param note what somebody notes of it
 * @param price what it costs
 * @param currency in what
 * @param lifeHours how many hours of playing it lasts
 * @param lifeMonths how many months it lasts
 * @param version how often it had been changed when the page was made
 */
record KindForm(
        String maker,
        String line,
        String size,
        Position position,
        String pitch,
        StringCore core,
        Winding winding,
        StringEnd end,
        String designLength,
        Known known,
        String tension,
        String mass,
        String weighed,
        String weighedLength,
        String scaleStep,
        Pull.Gauge gauge,
        String diameter,
        String axialStiffness,
        String tailSilk,
        String topSilk,
        String total,
        String note,
        String price,
        String currency,
        String lifeHours,
        String lifeMonths,
        Integer version) {

    /** What can be known of how hard a string pulls. */
    enum Known {
        TENSION,
        MASS,
        WEIGHED,
        /** Nothing in figures. */
        GAUGE
    }

    /** What is not sent is as on an empty form. */
    KindForm {
        maker = orEmpty(maker);
        line = orEmpty(line);
        size = size == null ? "VIOLIN 4/4" : size;
        position = position == null ? Position.II : position;
        pitch = orEmpty(pitch);
        core = core == null ? StringCore.SYNTHETIC : core;
        winding = winding == null ? Winding.ALUMINIUM : winding;
        end = end == null ? StringEnd.BALL : end;
        designLength = orEmpty(designLength);
        known = known == null ? Known.TENSION : known;
        tension = orEmpty(tension);
        mass = orEmpty(mass);
        weighed = orEmpty(weighed);
        weighedLength = orEmpty(weighedLength);
        scaleStep = scaleStep == null ? "0.1" : scaleStep;
        gauge = gauge == null ? Pull.Gauge.MEDIUM : gauge;
        diameter = orEmpty(diameter);
        axialStiffness = orEmpty(axialStiffness);
        tailSilk = orEmpty(tailSilk);
        topSilk = orEmpty(topSilk);
        total = orEmpty(total);
        note = orEmpty(note);
        price = orEmpty(price);
        currency = orEmpty(currency);
        lifeHours = orEmpty(lifeHours);
        lifeMonths = orEmpty(lifeMonths);
        version = version == null ? -1 : version;
    }

    /** {@return what is on record of a kind; figures that are only usual are left open} */
    static KindForm of(StringKind kind) {
        StringSpec spec = kind.spec();
        Family family = kind.family();
        boolean pulls = !spec.assumed().contains(StringFigure.TENSION);
        return new KindForm(
                kind.maker(),
                kind.line(),
                family + " " + kind.madeFor().code(),
                spec.position(),
                spec.nominalPitch().spelling(),
                spec.core(),
                spec.winding(),
                spec.end(),
                known(spec, StringFigure.DESIGN_LENGTH, spec.designLengthMm()),
                pulls ? Known.TENSION : Known.GAUGE,
                pulls ? Say.number(spec.tensionN(), 2) : "",
                "",
                "",
                "",
                "0.1",
                kind.packet().pull() instanceof Pull.OfGauge graded ? graded.gauge() : Pull.Gauge.MEDIUM,
                known(spec, StringFigure.DIAMETER, spec.diameterMm()),
                known(spec, StringFigure.AXIAL_STIFFNESS, spec.axialStiffnessN()),
                known(spec, StringFigure.TAIL_SILK_END, spec.tailSilkEndMm()),
                known(spec, StringFigure.TOP_SILK_START, spec.topSilkStartMm()),
                known(spec, StringFigure.TOTAL_LENGTH, spec.totalLengthMm()),
                kind.note(),
                kind.price().map(price -> price.amount().toPlainString()).orElse(""),
                kind.price().map(Price::currency).orElse(""),
                kind.life().map(Life::hours).map(hours -> Say.number(hours, 1)).orElse(""),
                kind.life()
                        .map(Life::months)
                        .map(months -> Say.number(months, 1))
                        .orElse(""),
                kind.version());
    }

    private static String known(StringSpec spec, StringFigure figure, double value) {
        return spec.assumed().contains(figure) ? "" : Say.number(value, 3);
    }
}
