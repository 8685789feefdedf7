package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.http.WebSocket;
import java.net.http.WebSocketHandshakeException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever comes to the socket that is no sound ends it, with a reason, and disturbs nothing else. */
class HearingSocketIT extends RunningApplication {

    private static final String OPEN = "/hear/open/strings?size=VIOLIN%204/4&rate=48000";
    private static final int PIECE = 2048;

    private Device device;

    @BeforeEach
    void signIn() throws Exception {
        device = new Device(address()).signIn("bench");
    }

    /** What came back, and why it ended. */
    private static final class Told implements WebSocket.Listener {

        private final LinkedBlockingQueue<String> words = new LinkedBlockingQueue<>();
        private final CompletableFuture<String> ended = new CompletableFuture<>();
        private final StringBuilder part = new StringBuilder();

        @Override
        public CompletionStage<?> onText(WebSocket socket, CharSequence data, boolean last) {
            part.append(data);
            if (last) {
                words.add(part.toString());
                part.setLength(0);
            }
            socket.request(1);
            return null;
        }

        @Override
        public CompletionStage<?> onClose(WebSocket socket, int code, String reason) {
            ended.complete(code + " " + reason);
            return null;
        }

        @Override
        public void onError(WebSocket socket, Throwable error) {
            ended.complete("cut off");
        }

        String why() throws Exception {
            return ended.get(60, TimeUnit.SECONDS);
        }

        String next() throws Exception {
            return words.poll(60, TimeUnit.SECONDS);
        }
    }

    private WebSocket open(String path, Told told) {
        return device.socket(path, address(), told);
    }

    private static ByteBuffer piece(float... samples) {
        ByteBuffer piece = ByteBuffer.allocate(samples.length * Float.BYTES).order(ByteOrder.LITTLE_ENDIAN);
        for (float sample : samples) {
            piece.putFloat(sample);
        }
        // The client swaps what it sends of a buffer of the other order.
        return piece.flip().order(ByteOrder.BIG_ENDIAN);
    }

    private static void send(WebSocket socket, ByteBuffer piece) {
        try {
            socket.sendBinary(piece, true).join();
        } catch (CompletionException closed) {
            // It was closed meanwhile, as it should be.
        }
    }

    @ParameterizedTest
    @CsvSource({
        "not a number, 1007 not-sound",
        "0 bytes, 1007 wrong-size",
        "7 bytes, 1007 wrong-size",
        "10000000 bytes, 1009",
        "too often, 1008 too-fast",
        "too much, 1008 too-fast",
        "words, 1003 not-understood",
        "many words, 1009"
    })
    void whatIsNoSoundIsRefused(String what, String why) throws Exception {
        Told calm = new Told();
        WebSocket other = open(OPEN, calm);
        Told told = new Told();
        WebSocket socket = open(OPEN, told);
        switch (what) {
            case "not a number" -> send(socket, piece(0, Float.NaN));
            case "too often" -> IntStream.range(0, 1000).forEach(i -> send(socket, piece(0)));
            case "too much" -> IntStream.range(0, 200).forEach(i -> send(socket, piece(new float[PIECE])));
            case "words" -> socket.sendText("hello", true).join();
            case "many words" -> socket.sendText("hello ".repeat(1000), true).join();
            default -> send(socket, ByteBuffer.allocate(Integer.parseInt(what.split(" ")[0])));
        }
        assertThat(told.why()).startsWith(why);
        send(other, piece(new float[PIECE]));
        assertThat(calm.next()).contains("\"state\":\"SILENT\"");
        assertThat(calm.ended).isNotDone();
        assertThat(device.get("/listen").statusCode()).isEqualTo(200);
        other.sendClose(WebSocket.NORMAL_CLOSURE, "").join();
    }

    @Test
    void anotherWorkshopsRunIsNotThere() throws Exception {
        String run = "/hear/bench/" + openRun("Pit 5 viola") + "?rate=44100";
        Told own = new Told();
        WebSocket socket = open(run, own);
        send(socket, piece(new float[PIECE]));
        assertThat(own.next()).contains("\"stage\"");
        device = new Device(address()).signIn(stranger().signIn());
        Told strange = new Told();
        open(run, strange);
        assertThat(strange.why()).isEqualTo("1003 not-understood");
        assertThat(own.ended).isNotDone();
        socket.sendClose(WebSocket.NORMAL_CLOSURE, "").join();
    }

    @ParameterizedTest
    @CsvSource({
        "/hear/open/strings?size=VIOLIN%204/4&rate=4000",
        "/hear/open/strings?size=VIOLIN%204/4&rate=fast",
        "/hear/open/strings?size=KAZOO&rate=48000",
        "/hear/bench/nonsense?rate=48000",
        "/hear/nothing/strings?rate=48000"
    })
    void whatIsNotThereIsNotListenedTo(String path) throws Exception {
        Told told = new Told();
        open(path, told);
        assertThat(told.why()).isEqualTo("1003 not-understood");
    }

    /** A page of somebody else's cannot borrow the session of who reads it, and nobody listens without one. */
    @Test
    void onlyOwnPagesOfSomebodySignedInGetASocket() throws Exception {
        assertThatThrownBy(() -> device.socket(OPEN, "https://elsewhere.example", new Told()))
                .hasCauseInstanceOf(WebSocketHandshakeException.class);
        device = new Device(address());
        assertThatThrownBy(() -> open(OPEN, new Told())).hasCauseInstanceOf(WebSocketHandshakeException.class);
    }

    /** Who signs out listens no more. */
    @Test
    void endsWithTheSession() throws Exception {
        Told told = new Told();
        WebSocket socket = open(OPEN, told);
        String csrf = Device.field(device.get("/listen").body(), "_csrf");
        device.post("/sign-out", Map.of("_csrf", csrf));
        for (int second = 0; second < 12 && !told.ended.isDone(); second++) {
            send(socket, piece(new float[PIECE]));
            Thread.sleep(500);
        }
        assertThat(told.why()).isEqualTo("1008 signed-out");
    }
}
