package rosinedpeg.web.working;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Pull;

/**
 * What a packet says, as it stands in an address. What is null it does not say.
 *
 * @param family the instruments the string is made for
 * @param size their size, as 4/4
 * @param string where it goes
 * @param midi what it is tuned to
 * @param core what is inside
 * @param winding what is wound round it
 * @param end how its tail end is finished
 * @param length the vibrating length it is made for, in mm
 * @param tension in N
 * @param mass in g a metre
 * @param weighed what scales showed, in g
 * @param weighedLength the length of what was on them, in mm
 * @param step the step of the scales, in g
 * @param gauge how its maker grades it
 * @param diameter in mm
 * @param stiffness in N
 * @param tailSilk from the ball to where the tail silk ends, in mm
 * @param topSilk from the ball to where the top silk starts, in mm
 * @param total from the ball to the tip, in mm
 */
record AskedPacket(
        Family family,
        String size,
        Position string,
        int midi,
        StringCore core,
        Winding winding,
        StringEnd end,
        @Nullable Double length,
        @Nullable Double tension,
        @Nullable Double mass,
        @Nullable Double weighed,
        @Nullable Double weighedLength,
        @Nullable Double step,
        Pull.@Nullable Gauge gauge,
        @Nullable Double diameter,
        @Nullable Double stiffness,
        @Nullable Double tailSilk,
        @Nullable Double topSilk,
        @Nullable Double total) {

    static AskedPacket of(Packet packet) {
        Pull pull = packet.pull();
        return new AskedPacket(
                packet.size().family(),
                packet.size().code(),
                packet.position(),
                packet.pitch().midi(),
                packet.core(),
                packet.winding(),
                packet.end(),
                packet.designLengthMm().orElse(null),
                pull instanceof Pull.OfTension given ? given.tensionN() : null,
                pull instanceof Pull.OfMass given ? given.gramsPerMetre() : null,
                pull instanceof Pull.Weighed given ? given.grams() : null,
                pull instanceof Pull.Weighed given ? given.lengthMm() : null,
                pull instanceof Pull.Weighed given ? given.stepG() : null,
                pull instanceof Pull.OfGauge given ? given.gauge() : null,
                packet.diameterMm().orElse(null),
                packet.axialStiffnessN().orElse(null),
                packet.tailSilkEndMm().orElse(null),
                packet.topSilkStartMm().orElse(null),
                packet.totalLengthMm().orElse(null));
    }

    /** {@return the address with all of it} */
    UriComponentsBuilder in(UriComponentsBuilder address) {
        return address.queryParam("family", family)
                .queryParam("size", size)
                .queryParam("string", string)
                .queryParam("midi", midi)
                .queryParam("core", core)
                .queryParam("winding", winding)
                .queryParam("end", end)
                .queryParamIfPresent("length", Optional.ofNullable(length))
                .queryParamIfPresent("tension", Optional.ofNullable(tension))
                .queryParamIfPresent("mass", Optional.ofNullable(mass))
                .queryParamIfPresent("weighed", Optional.ofNullable(weighed))
                .queryParamIfPresent("weighedLength", Optional.ofNullable(weighedLength))
                .queryParamIfPresent("step", Optional.ofNullable(step))
                .queryParamIfPresent("gauge", Optional.ofNullable(gauge))
                .queryParamIfPresent("diameter", Optional.ofNullable(diameter))
                .queryParamIfPresent("stiffness", Optional.ofNullable(stiffness))
                .queryParamIfPresent("tailSilk", Optional.ofNullable(tailSilk))
                .queryParamIfPresent("topSilk", Optional.ofNullable(topSilk))
                .queryParamIfPresent("total", Optional.ofNullable(total));
    }

    /**
     * The packet.
     *
     * @throws IllegalArgumentException when there can be none like it
     */
    Packet packet() {
        return new Packet(
                Size.of(family, size),
                string,
                new Pitch(midi),
                core,
                winding,
                end,
                Optional.ofNullable(length),
                pull(),
                Optional.ofNullable(diameter),
                Optional.ofNullable(stiffness),
                Optional.ofNullable(tailSilk),
                Optional.ofNullable(topSilk),
                Optional.ofNullable(total));
    }

    private Pull pull() {
        if (tension != null) {
            return new Pull.OfTension(tension);
        }
        if (mass != null) {
            return new Pull.OfMass(mass);
        }
        if (weighed != null && weighedLength != null && step != null) {
            return new Pull.Weighed(weighed, weighedLength, step);
        }
        return new Pull.OfGauge(gauge == null ? Pull.Gauge.MEDIUM : gauge);
    }
}
