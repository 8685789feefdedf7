package rosinedpeg.web.archive;

import java.io.Closeable;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A file that is read: an archive or a passport. Of one that is packed, no more is unpacked than anybody could have recorded. */
abstract class Source implements Closeable {

    /** A head says who wrote it; it is short. */
    private static final int LONGEST_HEAD_BYTES = 1_000_000;

    final JsonMapper json;

    Source(JsonMapper json) {
        this.json = json;
    }

    /** {@return what the file says of itself} */
    abstract JsonNode head();

    /** {@return the rows of a list, standing before the first; empty where the file does not have it} */
    abstract Optional<JsonParser> rows(Part part) throws IOException;

    /** {@return the picture that a row points to} */
    abstract byte[] picture(String said, int largestBytes) throws IOException;

    /** {@return what the file says of itself, when it is of a kind and a form that can be read} */
    JsonNode head(String kind) {
        JsonNode head = head();
        if (!head.path("kind").asString("").equals(kind)) {
            throw new UnreadableArchiveException("kind." + kind);
        }
        int version = head.path("version").asInt(0);
        if (version < 1) {
            throw new UnreadableArchiveException("kind." + kind);
        }
        if (version > ArchiveLayout.VERSION) {
            throw new UnreadableArchiveException("newer", version, ArchiveLayout.VERSION);
        }
        return head;
    }

    /** An archive: a packed folder. */
    static final class Packed extends Source {

        private static final int MOST_FILES = 200_000;
        private static final String HEAD = "workshop.json";

        private final ZipFile folder;
        private long bytesLeft;

        Packed(JsonMapper json, Path file, long mostBytesUnpacked) throws IOException {
            super(json);
            this.bytesLeft = mostBytesUnpacked;
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
                    throw new UnreadableArchiveException("path", name.substring(0, Math.min(60, name.length())));
                }
            }
        }

        @Override
        JsonNode head() {
            try (InputStream file = open(HEAD).orElseThrow(() -> new UnreadableArchiveException("kind.workshop"))) {
                return json.readTree(file.readNBytes(LONGEST_HEAD_BYTES));
            } catch (IOException | JacksonException notWritten) {
                throw new UnreadableArchiveException("kind.workshop");
            }
        }

        @Override
        Optional<JsonParser> rows(Part part) throws IOException {
            return open("data/" + part.name() + ".json").map(json::createParser);
        }

        @Override
        byte[] picture(String said, int largestBytes) throws IOException {
            if (!said.startsWith(Rows.PICTURES)) {
                throw new UnreadableArchiveException("picture", said.substring(0, Math.min(60, said.length())));
            }
            try (InputStream file = open(said).orElseThrow(() -> new UnreadableArchiveException("picture", said))) {
                return file.readNBytes(largestBytes + 1);
            }
        }

        private Optional<InputStream> open(String name) throws IOException {
            ZipEntry entry = folder.getEntry(name);
            return entry == null ? Optional.empty() : Optional.of(counted(folder.getInputStream(entry)));
        }

        /** What is packed says little of how large it is; counted is what comes out. */
        private InputStream counted(InputStream file) {
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
            if (bytesLeft < 0) {
                throw new UnreadableArchiveException("large");
            }
            return read;
        }

        @Override
        public void close() throws IOException {
            folder.close();
        }
    }

    /** A passport: one text, whose pictures stand in it. */
    static final class Text extends Source {

        private final Path file;

        Text(JsonMapper json, Path file) {
            super(json);
            this.file = file;
        }

        @Override
        JsonNode head() {
            ObjectNode head = json.createObjectNode();
            try (JsonParser parser = json.createParser(file)) {
                if (parser.nextToken() != JsonToken.START_OBJECT) {
                    throw new UnreadableArchiveException("kind.passport");
                }
                while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                    String name = parser.currentName();
                    JsonToken value = parser.nextToken();
                    if (value.isScalarValue()) {
                        head.set(name, parser.<JsonNode>readValueAsTree());
                    } else {
                        parser.skipChildren();
                    }
                }
                return head;
            } catch (JacksonException notWritten) {
                throw new UnreadableArchiveException("kind.passport");
            }
        }

        @Override
        Optional<JsonParser> rows(Part part) {
            JsonParser parser = json.createParser(file);
            parser.nextToken();
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                boolean data = parser.currentName().equals("data");
                if (parser.nextToken() == JsonToken.START_OBJECT && data) {
                    if (goTo(part.name(), parser)) {
                        return Optional.of(parser);
                    }
                    break;
                }
                parser.skipChildren();
            }
            parser.close();
            return Optional.empty();
        }

        private static boolean goTo(String name, JsonParser parser) {
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                if (parser.currentName().equals(name)) {
                    return true;
                }
                parser.nextToken();
                parser.skipChildren();
            }
            return false;
        }

        @Override
        byte[] picture(String said, int largestBytes) {
            try {
                return Base64.getDecoder().decode(said);
            } catch (IllegalArgumentException notEncoded) {
                throw new UnreadableArchiveException("picture", "base64");
            }
        }

        @Override
        public void close() {
            // Each reading closes what it opened.
        }
    }
}
