package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.load.FeetLoad;
import rosinedpeg.core.load.StringLoad;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.TunedString;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.Tension;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.winding.Turns;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every formula against numbers that were worked out independently, to the six decimals they are given in. */
class WorkedNumbersTest {

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("numbers")
    void agreesWithWorkedNumbers(String formula, int row, JsonNode numbers) {
        List<Computed> all = new ArrayList<>();
        compute(all, formula, new Row(numbers));
        assertThat(all)
                .isNotEmpty()
                .allSatisfy(
                        each -> assertThat(each.value()).as(each.figure()).isCloseTo(each.expected(), within(2e-6)));
    }

    static Stream<Arguments> numbers() throws Exception {
        JsonNode all;
        try (InputStream in = WorkedNumbersTest.class.getResourceAsStream("/worked-numbers.json")) {
            all = JsonMapper.shared().readTree(in);
        }
        List<Arguments> rows = new ArrayList<>();
        for (String formula : all.propertyNames()) {
            int row = 0;
            for (JsonNode numbers : all.get(formula)) {
                rows.add(Arguments.of(formula, row++, numbers));
            }
        }
        return rows.stream();
    }

    private record Computed(String figure, double value, double expected) {}

    private static void compute(List<Computed> all, String formula, Row row) {
        Check check = (figure, computed) -> all.add(new Computed(figure, computed, row.get(figure)));
        switch (formula) {
            case "tension" -> {
                double hertz = new Pitch((int) row.get("midi")).frequencyHz(new ReferenceA(row.get("a4")));
                check.that("frequency_hz", hertz);
                check.that(
                        "tension_n",
                        Tension.tensionN(row.get("mass_per_length_kg_m"), row.get("length_m") * 1000, hertz));
            }
            case "elastic" -> {
                Elasticity elasticity =
                        new Elasticity(row.get("tension_n"), row.get("axial_stiffness_n"), row.get("free_length_mm"));
                check.that("stretch_mm", elasticity.stretchMm());
                check.that("cents_per_mm", elasticity.centsForMm(1));
                check.that("cents_per_degree", elasticity.centsPerPegDegree(row.get("shaft_mm"), row.get("string_mm")));
            }
            case "feet" -> {
                List<StringLoad> strings = new ArrayList<>();
                for (JsonNode s : row.list("strings_t_x_front_back")) {
                    strings.add(new StringLoad(
                            s.get(0).asDouble(),
                            s.get(1).asDouble(),
                            s.get(2).asDouble(),
                            s.get(3).asDouble()));
                }
                FeetLoad feet = FeetLoad.of(strings, row.get("foot_span_mm"));
                check.that("bass_n", feet.bassN());
                check.that("treble_n", feet.trebleN());
            }
            case "thrust" -> {
                Thrust thrust = Thrust.of(
                        row.get("height_mm"),
                        row.get("foot_mm"),
                        row.get("top_mm"),
                        new Lean(row.get("lean_deg")),
                        row.get("front_deg"),
                        row.get("back_deg"));
                check.that("at_mm", thrust.atMm());
                check.that("margin", thrust.margin());
            }
            case "lean" ->
                check.that(
                        "lean_deg",
                        Lean.fromGap(row.get("gap_mm"), row.get("height_mm")).degrees());
            case "drag" ->
                check.that(
                        "lean_deg",
                        Drag.lean(
                                        row.get("rise_n"),
                                        row.get("axial_stiffness_n"),
                                        row.get("afterlength_mm"),
                                        row.get("stick"),
                                        row.get("load_share"),
                                        row.get("height_mm"))
                                .degrees());
            case "wraps" -> {
                Turns turns = Turns.of(
                        row.get("total_mm"),
                        row.get("anchor_to_nut_mm"),
                        row.get("nut_to_peg_mm"),
                        row.get("tail_mm"),
                        row.get("stretch_mm"),
                        row.get("shaft_mm"),
                        row.get("string_mm"));
                check.that("turns", turns.count());
                check.that("far_side_turns", turns.farSide(row.get("hole_to_target_mm"), row.get("string_mm")));
            }
            case "settling" -> {
                SettlingForecast forecast = new SettlingForecast(row.get("total_cents"), row.get("tau_hours"));
                check.that("lost_after_24h", forecast.lostCents(24));
                check.that("drift_24_to_48", forecast.driftCents(24, 48));
                check.that(
                        "steady_at_hours", forecast.steadyAtHours(row.get("tolerance_cents"), row.get("window_hours")));
            }
            case "curve" -> {
                BridgeCurve curve = new BridgeCurve(row.list("points_mm").stream()
                        .map(point -> new BridgeCurve.StringPoint(
                                point.get(0).asDouble(), point.get(1).asDouble()))
                        .toList());
                check.that("radius_inner_left", curve.radiusMm().get(0));
                check.that("radius_inner_right", curve.radiusMm().get(1));
                for (int i = 0; i < 2; i++) {
                    all.add(new Computed(
                            "proud " + i,
                            curve.proudMm().get(i),
                            row.list("proud_mm").get(i).asDouble()));
                    all.add(new Computed(
                            "bowing angle " + i,
                            curve.bowingAngleDeg().get(i),
                            row.list("bow_window_deg").get(i).asDouble()));
                }
            }
            case "afterlength" -> {
                Afterlength afterlength = new Afterlength(row.get("length_mm"), row.get("measured_mm"));
                check.that("target_mm", afterlength.targetMm());
                check.that("interval_cents", afterlength.interval().value());
            }
            case "passes" -> passes(all, row);
            case "wear" -> {
                Wear wear = new Wear(
                        row.get("hours"),
                        row.get("months"),
                        row.get("signs"),
                        new Life(row.get("life_hours"), row.get("life_months")));
                check.that("worn", wear.worn());
                check.that("months_left", wear.monthsLeft(row.get("threshold"), row.get("hours_per_week")));
            }
            case "tension_fraction" ->
                check.that(
                        "semitones",
                        Cents.ofTensionFraction(row.get("fraction")).semitones());
            default -> throw new IllegalStateException("no formula for " + formula);
        }
    }

    private static void passes(List<Computed> all, Row row) {
        List<TunedString> strings = new ArrayList<>();
        Map<Position, Double> startN = new EnumMap<>(Position.class);
        for (int i = 0; i < 4; i++) {
            Position position = Position.ofNumber(4 - i);
            double targetN = row.list("target_n").get(i).asDouble();
            strings.add(new TunedString(
                    position,
                    targetN,
                    row.list("axial_stiffness_n").get(i).asDouble()
                            / row.list("free_length_mm").get(i).asDouble()));
            startN.put(position, targetN * 0.1);
        }
        List<Position> order = row.list("order").stream()
                .map(index -> Position.ofNumber(4 - index.asInt()))
                .toList();
        TuningRounds.Rounds rounds = new TuningRounds(strings, new Coupling(row.get("coupling_mm_per_n")))
                .simulate(startN, order, row.get("tolerance_cents"));
        all.add(new Computed("passes", rounds.count(), row.get("passes")));
        for (int round = 0; round < rounds.count(); round++) {
            for (int i = 0; i < 4; i++) {
                all.add(new Computed(
                        "round " + round + " string " + i,
                        rounds.centsAfter().get(round).get(Position.ofNumber(4 - i)),
                        row.list("residual_cents").get(round).get(i).asDouble()));
            }
        }
    }

    private interface Check {
        void that(String figure, double computed);
    }

    private record Row(JsonNode json) {
        double get(String name) {
            return json.get(name).asDouble();
        }

        List<JsonNode> list(String name) {
            return json.get(name).valueStream().toList();
        }
    }
}
