package rosinedpeg.web.bench;

import java.time.Duration;
import java.util.UUID;
import rosinedpeg.web.platform.Entry;

/** What is typed at the bench, with the press it comes with and the last event its page knew. */
class BenchForm {
    /** A day, in s: an older press than that is taken as of now less a day. */
    private static final long LONGEST_AGO = 86_400;

    private String press = "";
    private long seen;
    private String after = "";
    private long ago;
    private String cents = "";
    private String gap = "";
    private String note = "";

    Press press() {
        UUID before = after.isEmpty() ? null : Entry.press(after);
        return new Press(Entry.press(press), seen, before, Duration.ofSeconds(Math.min(ago, LONGEST_AGO)));
    }

    void clear() {
        cents = "";
        gap = "";
        note = "";
    }

    public String getPress() {
        return press;
    }

    public void setPress(String press) {
        this.press = press;
    }

    public long getSeen() {
        return seen;
    }

    public void setSeen(long seen) {
        this.seen = seen;
    }

    public String getAfter() {
        return after;
    }

    public void setAfter(String after) {
        this.after = after;
    }

    public long getAgo() {
        return ago;
    }

    public void setAgo(long ago) {
        this.ago = ago;
    }

    public String getCents() {
        return cents;
    }

    public void setCents(String cents) {
        this.cents = cents;
    }

    public String getGap() {
        return gap;
    }

    public void setGap(String gap) {
        this.gap = gap;
    }

    public String getNote() {
        return note;
    }

    public void setNote(String note) {
        this.note = note;
    }
}
