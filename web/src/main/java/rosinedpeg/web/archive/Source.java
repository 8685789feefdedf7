package rosinedpeg.web.archive;

import java.io.Closeable;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.Enumeration;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import rosinedpeg.web.archive.ArchiveLayout.Part;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.util.JsonParserDelegate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A file that is read: an archive or a passport. No more of it is read than anybody could have recorded, and never more of one row
 * at a time than has room.
 */
abstract class Source implements Closeable {

    /** A picture is the largest thing in a row, and grows by a third where it is written as text. */
    private static final int LARGEST_ROW_BYTES = 12_000_000;

    final JsonMapper json;
    private long bytesLeft;
    private long bytesLeftOfRow = LARGEST_ROW_BYTES;

    Source(JsonMapper json, long mostBytes) {
        this.json = json;
        this.bytesLeft = mostBytes;
    }

    /** {@return what the file says of itself} */
    abstract JsonNode head() throws IOException;

    /** {@return the rows of a list, standing before the first; empty where the file does not have it} */
    abstract Optional<JsonParser> rows(Part part) throws IOException;

    /** {@return the picture that a row points to} */
    abstract byte[] picture(String said, int largestBytes) throws IOException;

    /** Makes sure that everything there was has been read. */
    abstract void end();

    /** The next row begins. */
    void nextRow() {
        bytesLeftOfRow = LARGEST_ROW_BYTES;
    }

    /** {@return what the file says of itself, when it is of a kind and a form that can be read} */
    JsonNode head(String kind) throws IOException {
        JsonNode head = head();
        int version = head.path("version").asInt(0);
        if (!head.path("kind").asString("").equals(kind) || version < 1) {
            throw new UnreadableArchiveException("kind." + kind);
        }
        if (version > ArchiveLayout.VERSION) {
            throw new UnreadableArchiveException("newer", version, ArchiveLayout.VERSION);
        }
        return head;
    }

    /** What is packed says little of how large it is; counted is what comes out. */
    InputStream counted(InputStream file) {
        return new FilterInputStream(file) {
            @Override
            public int read() throws IOException {
                return count(super.read(), 1);
            }

            @Override
            public int read(byte[] into, int from, int length) throws IOException {
                int read = super.read(into, from, length);
                return count(read, Math.max(0, read));
            }
        };
    }

    private int count(int read, int bytes) {
        bytesLeft -= bytes;
        bytesLeftOfRow -= bytes;
        if (bytesLeft < 0 || bytesLeftOfRow < 0) {
            throw new UnreadableArchiveException("large");
        }
        return read;
    }

    /** An archive: a packed folder. */
    static final class Packed extends Source {

        private static final int MOST_FILES = 200_000;
        private static final String HEAD = "workshop.json";

        private final ZipFile folder;

        Packed(JsonMapper json, Path file, long mostBytesUnpacked) throws IOException {
            super(json, mostBytesUnpacked);
            try {
                folder = new ZipFile(file.toFile());
            } catch (ZipException | IllegalArgumentException notPacked) {
                throw new UnreadableArchiveException("kind.workshop");
            }
            try {
                check();
            } catch (UnreadableArchiveException wrong) {
                folder.close();
                throw wrong;
            }
        }

        private void check() {
            if (folder.size() > MOST_FILES) {
                throw new UnreadableArchiveException("files", MOST_FILES);
            }
            Enumeration<? extends ZipEntry> entries = folder.entries();
            while (entries.hasMoreElements()) {
                String name = entries.nextElement().getName();
                if (name.startsWith("/") || name.contains("..") || name.contains("\\") || name.contains(":")) {
                    throw new UnreadableArchiveException("path", UnreadableArchiveException.shortened(name));
                }
            }
        }

        @Override
        JsonNode head() throws IOException {
            try (InputStream file = open(HEAD).orElseThrow(() -> new UnreadableArchiveException("kind.workshop"))) {
                return json.readTree(file);
            } catch (JacksonException notWritten) {
                throw new UnreadableArchiveException("kind.workshop");
            }
        }

        @Override
        Optional<JsonParser> rows(Part part) throws IOException {
            return open("data/" + part.name() + ".json").map(json::createParser);
        }

        @Override
        byte[] picture(String said, int largestBytes) throws IOException {
            String shown = UnreadableArchiveException.shortened(said);
            if (!said.startsWith(Rows.PICTURES)) {
                throw new UnreadableArchiveException("picture", shown);
            }
            try (InputStream file = open(said).orElseThrow(() -> new UnreadableArchiveException("picture", shown))) {
                return file.readNBytes(largestBytes + 1);
            }
        }

        private Optional<InputStream> open(String name) throws IOException {
            ZipEntry entry = folder.getEntry(name);
            return entry == null ? Optional.empty() : Optional.of(counted(folder.getInputStream(entry)));
        }

        @Override
        void end() {
            // What else lies in the folder is for people to look at.
        }

        @Override
        public void close() throws IOException {
            folder.close();
        }
    }

    /** A passport: one text, read once from its beginning to its end, whose pictures stand in their rows. */
    static final class Text extends Source {

        private final JsonParser parser;

        Text(JsonMapper json, Path file) throws IOException {
            super(json, Files.size(file));
            parser = json.createParser(counted(Files.newInputStream(file)));
        }

        @Override
        JsonNode head() {
            ObjectNode head = json.createObjectNode();
            try {
                if (parser.nextToken() != JsonToken.START_OBJECT) {
                    throw new UnreadableArchiveException("kind.passport");
                }
                while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                    String name = parser.currentName();
                    JsonToken value = parser.nextToken();
                    if (name.equals("data") && value == JsonToken.START_OBJECT) {
                        parser.nextToken();
                        return head;
                    }
                    if (!value.isScalarValue()) {
                        break;
                    }
                    head.set(name, parser.<JsonNode>readValueAsTree());
                }
            } catch (JacksonException notWritten) {
                // Told below.
            }
            throw new UnreadableArchiveException("kind.passport");
        }

        /** Stands at the name of the next list, or behind the last. */
        @Override
        Optional<JsonParser> rows(Part part) {
            if (parser.currentToken() == JsonToken.END_ARRAY) {
                parser.nextToken();
            }
            return parser.currentToken() == JsonToken.PROPERTY_NAME
                            && parser.currentName().equals(part.name())
                    ? Optional.of(new JsonParserDelegate(parser) {
                        @Override
                        public void close() {
                            // The next list comes out of the same text.
                        }
                    })
                    : Optional.empty();
        }

        @Override
        byte[] picture(String said, int largestBytes) {
            try {
                return Base64.getDecoder().decode(said);
            } catch (IllegalArgumentException notEncoded) {
                throw new UnreadableArchiveException("picture", UnreadableArchiveException.shortened(said));
            }
        }

        @Override
        void end() {
            if (parser.currentToken() == JsonToken.END_ARRAY) {
                parser.nextToken();
            }
            if (parser.currentToken() != JsonToken.END_OBJECT) {
                throw new UnreadableArchiveException(
                        "rows", UnreadableArchiveException.shortened(String.valueOf(parser.currentName())));
            }
        }

        @Override
        public void close() {
            parser.close();
        }
    }
}
