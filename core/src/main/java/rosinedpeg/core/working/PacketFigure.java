package rosinedpeg.core.working;

import java.util.function.ToDoubleFunction;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.usual.Packet;

/** The figures of a kind of string, as they follow from its packet. */
public enum PacketFigure implements Workable<PacketGrounds> {
    /** At the length it is made for. */
    PACKET_TENSION(Unit.NEWTON, Packet::tensionN),
    PACKET_MASS(Unit.GRAM_PER_METRE, Packet::gramsPerMetre),
    PACKET_THICKNESS(Unit.MILLIMETRE, Packet::thicknessMm),
    /** Of its length, on the way to pitch. */
    PACKET_STRETCH(Unit.SHARE, packet -> packet.tensionN() / packet.stiffnessN()),
    PACKET_TAIL_SILK(Unit.MILLIMETRE, Packet::tailSilkMm),
    PACKET_TOP_SILK(Unit.MILLIMETRE, Packet::topSilkMm),
    PACKET_LENGTH(Unit.MILLIMETRE, Packet::totalMm);

    private final Formula<PacketGrounds> formula;

    PacketFigure(Unit unit, ToDoubleFunction<Packet> from) {
        this.formula = new Formula<>(unit, grounds -> from.applyAsDouble(grounds.packet()));
    }

    @Override
    public Formula<PacketGrounds> formula() {
        return formula;
    }
}
