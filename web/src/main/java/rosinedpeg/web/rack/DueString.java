package rosinedpeg.web.rack;

import java.time.LocalDate;
import java.util.UUID;
import rosinedpeg.core.strings.Position;

/**
 * A string that is due, or will be.
 *
 * @param instrumentId on which instrument
 * @param instrument what that is called
 * @param position which string
 * @param kindId of which kind
 * @param on the day it is due; today when it is due already
 * @param overdue whether it is
 * @param worn how far it is used up, 1 for spent
 * @param hoursPerWeek how much the instrument is played
 */
public record DueString(
        UUID instrumentId,
        String instrument,
        Position position,
        UUID kindId,
        LocalDate on,
        boolean overdue,
        double worn,
        double hoursPerWeek) {}
