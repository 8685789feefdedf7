package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioFormat.Encoding;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** Readings out of a recording: heard, shown, taken once; what is no recording gets a sentence. */
class RecordingIT extends InRequests {

    private static final double SECOND_FOUND = 440 * Math.pow(2, -38 / 1200.0);

    private SignedIn keeper;
    private UUID violin;
    private UUID second;

    @BeforeEach
    void aViolinOfOnesOwn() {
        keeper = stranger();
        assertThat(post(
                        keeper,
                        "/instruments/new",
                        "name",
                        "Recorded violin",
                        "size",
                        "VIOLIN 4/4",
                        "strung",
                        "SYNTHETIC",
                        "since",
                        LocalDate.now(keeper.zone()).minusDays(3).toString()))
                .hasStatus(302);
        violin = database.sql("select id from instrument where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        second = fitted("II");
    }

    private UUID fitted(String position) {
        return database.sql("select id from fitted_string where instrument_id = ? and position = ?")
                .params(violin, position)
                .query(UUID.class)
                .single();
    }

    /** II is found 38 cents flat and tuned, III is where it should be. */
    private static MadeUpSound tuning() {
        return new MadeUpSound()
                .rest(0.4)
                .string(SECOND_FOUND, 1, false)
                .rest(0.3)
                .string(293.66, 1, false)
                .rest(0.3)
                .string(440, 1, false);
    }

    private static byte[] wav(double[] values, AudioFormat format) throws Exception {
        int bytes = format.getSampleSizeInBits() / 8;
        ByteBuffer samples =
                ByteBuffer.allocate(values.length * format.getFrameSize()).order(ByteOrder.LITTLE_ENDIAN);
        for (double value : values) {
            for (int channel = 0; channel < format.getChannels(); channel++) {
                if (format.getEncoding().equals(Encoding.PCM_FLOAT)) {
                    samples.putFloat((float) value);
                    continue;
                }
                long whole = Math.round(value * (Math.pow(2, format.getSampleSizeInBits() - 1.0) - 1));
                if (bytes == 1) {
                    whole += 128;
                }
                for (int i = 0; i < bytes; i++) {
                    samples.put((byte) (whole >> 8 * i));
                }
            }
        }
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        AudioSystem.write(
                new AudioInputStream(new ByteArrayInputStream(samples.array()), format, values.length),
                AudioFileFormat.Type.WAVE,
                file);
        return file.toByteArray();
    }

    private static AudioFormat format(float rate, int bits, int channels) {
        return new AudioFormat(rate, bits, channels, bits > 8, false);
    }

    private MvcTestResult send(byte[] file, LocalDateTime begunAt) {
        return mvc.post()
                .uri("/settling/" + second + "/recording")
                .multipart()
                .file(new MockMultipartFile("file", "tuning.wav", "audio/wav", file))
                .param("begunAt", begunAt.withNano(0).toString())
                .with(user(keeper))
                .with(csrf())
                .exchange();
    }

    private List<Double> readings(UUID fittedId, boolean retuned) {
        return database.sql("select cents from settling_reading where fitted_string_id = ? and retuned = ?")
                .params(fittedId, retuned)
                .query(Double.class)
                .list();
    }

    @ParameterizedTest
    @CsvSource({"16,1", "24,2", "8,1", "32,2"})
    void whatIsHeardIsShownAndTakenOnce(int bits, int channels) throws Exception {
        MvcTestResult sent = send(
                wav(tuning().values(), format(MadeUpSound.RATE, bits, channels)), LocalDateTime.now(keeper.zone()));
        assertThat(sent).hasStatus(302);
        String waits = sent.getResponse().getRedirectedUrl();
        assertThat(page(keeper, waits))
                .contains("2 strings were heard", "a reading, and tuned", "a reading, and left so");
        assertThat(readings(second, true))
                .as("nothing before somebody has seen it")
                .isEmpty();
        assertThat(atOnce(keeper, waits, "strings", "II")).containsOnly(302);
        assertThat(readings(second, true))
                .singleElement()
                .satisfies(cents -> assertThat(cents).isCloseTo(-38, within(1.0)));
        assertThat(readings(fitted("III"), false)).as("not ticked").isEmpty();
        assertThat(mvc.get().uri(waits).with(user(keeper)))
                .hasStatus(302)
                .redirectedUrl()
                .isEqualTo("/settling/" + second);
    }

    static Stream<Arguments> cannotBeHeard() throws Exception {
        double[] half = Arrays.copyOf(tuning().values(), 24_000);
        byte[] right = wav(half, format(48_000, 16, 1));
        byte[] manyChannels = right.clone();
        manyChannels[22] = 7;
        return Stream.of(
                Arguments.of("nothing", new byte[0], "Choose a file"),
                Arguments.of("text", "RIFF of a mountain".getBytes(StandardCharsets.UTF_8), "no WAV"),
                Arguments.of("a header", Arrays.copyOf(right, 20), "no WAV"),
                Arguments.of("seven channels", manyChannels, "cannot be heard here"),
                Arguments.of("96 kHz", wav(half, format(96_000, 16, 1)), "cannot be heard here"),
                Arguments.of("five minutes and more", wav(new double[8000 * 301], format(8000, 8, 1)), "too long"),
                Arguments.of("large", new byte[20_000_001], "too large: at most 20 MB"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cannotBeHeard")
    void whatIsNoRecordingGetsASentence(String what, byte[] file, String sentence) throws Exception {
        LocalDateTime begunAt = LocalDateTime.now(keeper.zone()).minusHours(1);
        MvcTestResult answer = send(file, begunAt);
        assertThat(answer).hasStatus(200);
        assertThat(answer).bodyText().contains(sentence, begunAt.withNano(0).toString());
    }

    /** Whatever stands in the head of a file, it gets a page. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void aBrokenHeadIsNoFailure(long seed) throws Exception {
        byte[] right = wav(new double[800], format(16_000, 16, 1));
        Random random = new Random(seed);
        for (int i = 0; i < 40; i++) {
            byte[] broken = Arrays.copyOf(right, random.nextInt(4) == 0 ? random.nextInt(60) + 1 : right.length);
            for (int changed = 0; changed < 3; changed++) {
                broken[random.nextInt(Math.min(48, broken.length))] = (byte) random.nextInt(256);
            }
            assertThat(send(broken, LocalDateTime.now(keeper.zone()))
                            .getResponse()
                            .getStatus())
                    .as("%d of %d", i, seed)
                    .isIn(200, 302);
        }
    }

    /** Nothing in it is no failure; what cannot become a reading says why; another workshop sees nothing of it. */
    @Test
    void whatCannotBecomeAReadingSaysWhy() throws Exception {
        byte[] silent = wav(new double[48_000], format(48_000, 16, 1));
        assertThat(page(
                        keeper,
                        send(silent, LocalDateTime.now(keeper.zone()))
                                .getResponse()
                                .getRedirectedUrl()))
                .contains("No string was heard", "Pluck each by itself");
        byte[] wav = wav(tuning().values(), format(MadeUpSound.RATE, 16, 1));
        String before = send(wav, LocalDateTime.now(keeper.zone()).minusDays(20))
                .getResponse()
                .getRedirectedUrl();
        assertThat(page(keeper, before)).contains("it went on after that").doesNotContain("Record what is ticked");
        assertThat(post(keeper, before, "strings", "II")).hasStatus(302);
        assertThat(readings(second, true)).isEmpty();
        String waits = send(wav, LocalDateTime.now(keeper.zone())).getResponse().getRedirectedUrl();
        assertThat(mvc.get().uri(waits).with(user(stranger()))).hasStatus(404);
        assertThat(send(wav, LocalDateTime.now(keeper.zone()).plusDays(2)))
                .bodyText()
                .contains("Recorded at", "class=\"error\"");
    }
}
