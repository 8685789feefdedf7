package rosinedpeg.web.rack;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.load.FeetLoad;
import rosinedpeg.web.aftercare.CareKind;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.findings.Referral;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.measure.MeasuredArea;

/**
 * An instrument's own page.
 *
 * @param instrument the instrument
 * @param pictured when its picture was kept; empty where it has none
 * @param players who plays it, by name
 * @param strands its strings, drawn
 * @param areas what can be measured on it
 * @param found what was found on it, in groups in the order they are told
 * @param looks small drawings of its parts, which lead to their pages
 * @param referrals what a repairer has to see to, oldest first
 * @param log what happened to it last
 * @param owed what is left to do on it, the longest owed first
 * @param careKinds every kind of care that can be recorded
 * @param lastCare when each of them was taken last
 * @param press the press of the button that records care
 * @param now the moment it is shown
 * @param asked how many of its strings, on or come off, it is asked how they sound
 * @param load what its strings put on its feet, when all of them are on
 * @param away why it is not at hand today, and until when
 * @param today the day it is shown
 */
record InstrumentPage(
        Instrument instrument,
        Optional<Instant> pictured,
        List<String> players,
        Strands strands,
        List<MeasuredArea> areas,
        Map<String, List<Finding>> found,
        Map<String, View> looks,
        List<Referral> referrals,
        InstrumentLog log,
        List<OwedWork> owed,
        List<CareKind> careKinds,
        Map<CareKind, Instant> lastCare,
        UUID press,
        Instant now,
        int asked,
        Optional<FeetLoad> load,
        List<NotAtHand.Days> away,
        LocalDate today) {}
