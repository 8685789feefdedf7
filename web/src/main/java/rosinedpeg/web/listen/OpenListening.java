package rosinedpeg.web.listen;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Fifths;
import rosinedpeg.core.rounds.PegTurn;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/** Listens to open strings, for an instrument or none, and records nothing. */
@Component
class OpenListening implements Listened {

    private final WhatSounds what;
    private final HearingWords words;

    OpenListening(WhatSounds what, HearingWords words) {
        this.what = what;
        this.words = words;
    }

    @Override
    public String kind() {
        return "open";
    }

    @Override
    public Listener begin(String id, Map<String, String> asked) {
        return new Open(what.of(
                new ListenForm(
                        "",
                        asked.getOrDefault("size", ""),
                        asked.getOrDefault("referenceA", ""),
                        Fifths.valueOf(asked.getOrDefault("fifths", Fifths.PURE.name()))),
                Optional.ofNullable(asked.get("of")).map(UUID::fromString)));
    }

    private final class Open implements Listener {

        private final OpenStrings strings;
        private final Stage stage;

        Open(OpenStrings strings) {
            this.strings = strings;
            Map<Position, Double> breaksCents = new EnumMap<>(Position.class);
            strings.strings()
                    .forEach((position, string) -> breaksCents.put(
                            position, string.centsToBreaking(strings.setUp().tensionN(string))));
            stage = new Stage(0, Optional.of(strings.awaited()), Optional.empty(), breaksCents);
        }

        @Override
        public Optional<UUID> alone() {
            return Optional.empty();
        }

        @Override
        public Optional<Stage> stage() {
            return Optional.of(stage);
        }

        @Override
        public Optional<PegTurn> turn(Position position, Cents cents) {
            return Optional.ofNullable(strings.strings().get(position)).map(string -> turn(string, cents));
        }

        private PegTurn turn(StringSpec string, Cents cents) {
            double targetN = strings.setUp().tensionN(string);
            return PegTurn.of(strings.setUp(), string, strings.coupling(), cents, targetN);
        }

        @Override
        public Said take(Notice notice, boolean wished) {
            return notice instanceof Notice.Read read
                    ? new Said(words.heard(read.string(), read.cents()), false)
                    : Said.NOTHING;
        }
    }
}
