package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.strings.Position;

/** A whole first change on the practice peg, with the pointer and with keys alone, in a workshop that begins with nothing. */
class PracticingIT extends InBrowser {

    private static Page begun(Page page, String size) {
        page.navigate("/practice");
        page.locator("#size").selectOption(size);
        page.locator("#begin").click();
        page.waitForURL("**/practice/*");
        return page;
    }

    private static Locator state(Page page, String string) {
        return page.locator(".practice-string:has([value=" + string + "]) > .hint");
    }

    /** Everything that was pressed is answered. */
    private static void done(Page page) {
        assertThat(page.locator("#practice[aria-busy]")).hasCount(0);
    }

    /** What works the pegs. */
    private interface Hand {
        void take(Page page, String string);

        /** Roughly so far. */
        void turn(Page page, String string, int degrees);

        /** A little up, or as little as a hand can to and fro. */
        void turnALittle(Page page);

        void turnAHair(Page page, boolean back);

        void press(Page page, String id);
    }

    private static final Hand POINTER = new Hand() {
        @Override
        public void take(Page page, String string) {
            page.locator(".practice-string:has([value=" + string + "])").click();
            done(page);
        }

        /** Round the middle of its knob, in small steps as a hand goes. */
        @Override
        public void turn(Page page, String string, int degrees) {
            BoundingBox box = page.locator(".grip.at-" + string).boundingBox();
            double x = box.x + box.width / 2;
            double y = box.y + box.height / 2;
            double radius = box.width * 0.4;
            page.mouse().move(x + radius, y);
            page.mouse().down();
            for (int at = 0; Math.abs(at) <= Math.abs(degrees); at += degrees < 0 ? -45 : 45) {
                page.mouse().move(x + radius * Math.cos(Math.toRadians(at)), y + radius * Math.sin(Math.toRadians(at)));
                page.waitForTimeout(5);
            }
            page.mouse().up();
            done(page);
        }

        @Override
        public void turnALittle(Page page) {
            press(page, "turn3");
        }

        @Override
        public void turnAHair(Page page, boolean back) {
            press(page, back ? "turn-hair-back" : "turn-hair");
        }

        @Override
        public void press(Page page, String id) {
            page.locator("#" + id).click();
            done(page);
        }
    };

    private static final Map<String, String> KEY_OF =
            Map.of("do-PUSH", "p", "do-LET_GO", "l", "back", "b", "ready", "r");

    private static final Hand KEYS = new Hand() {
        @Override
        public void take(Page page, String string) {
            page.keyboard().press(Integer.toString(Position.valueOf(string).ordinal() + 1));
            assertThat(page.locator("#string-" + string)).isChecked();
            done(page);
        }

        @Override
        public void turn(Page page, String string, int degrees) {
            for (int times = 0; times < Math.ceil(Math.abs(degrees) / 45.0); times++) {
                page.keyboard().press(degrees < 0 ? "Shift+ArrowDown" : "Shift+ArrowUp");
            }
            done(page);
        }

        @Override
        public void turnALittle(Page page) {
            page.keyboard().press("ArrowUp");
            done(page);
        }

        @Override
        public void turnAHair(Page page, boolean back) {
            page.keyboard().press(back ? "ArrowLeft" : "ArrowRight");
            done(page);
        }

        @Override
        public void press(Page page, String id) {
            if (KEY_OF.containsKey(id)) {
                page.keyboard().press(KEY_OF.get(id));
            } else {
                page.locator("#" + id).focus();
                page.keyboard().press("Enter");
            }
            done(page);
        }
    };

    /** By what is said of it: half turns while it is slack, then less and less. */
    private static void bringUp(Hand hand, Page page, String string) {
        String said = state(page, string).textContent();
        for (int times = 0; times < 250 && !said.equals("at pitch"); times++) {
            double cents = said.contains("cents") ? Double.parseDouble(said.replaceAll("\\D", "")) : 9999;
            if (said.contains("sharp") || cents < 12) {
                hand.turnAHair(page, said.contains("sharp"));
            } else if (cents < 200) {
                hand.turnALittle(page);
            } else {
                hand.turn(page, string, cents == 9999 ? 180 : 45);
            }
            said = state(page, string).textContent();
        }
        assertThat(state(page, string)).hasText("at pitch");
    }

    private static void letGo(Hand hand, Page page, String string) {
        for (int times = 0; times < 3; times++) {
            hand.press(page, "do-PUSH");
        }
        bringUp(hand, page, string);
        hand.press(page, "do-LET_GO");
    }

    private static void takeOff(Hand hand, Page page, String string) {
        hand.take(page, string);
        for (int times = 0; times < 5 && !state(page, string).textContent().equals("slack"); times++) {
            hand.turn(page, string, -360);
        }
        hand.press(page, "do-TAKE_OFF");
        assertThat(state(page, string)).hasText("off");
    }

    private static void putOn(Hand hand, Page page, String string) {
        for (String what : List.of("do-HANG", "do-THREAD", "do-LAY_BACK")) {
            hand.press(page, what);
        }
        bringUp(hand, page, string);
        letGo(hand, page, string);
    }

    private static boolean postFell(Page page) {
        return page.locator(".practice-views").textContent().contains("sound post has fallen");
    }

    private static void begin(Hand hand, Page page, String button) {
        page.navigate("/practice");
        page.locator(button).focus();
        if (hand == KEYS) {
            page.keyboard().press("Enter");
        } else {
            page.locator(button).click();
        }
        page.waitForURL("**/practice/*");
    }

    private static void assertDone(Page page) {
        assertThat(page.locator(".lesson-done")).containsText("Done");
        assertThat(page.locator("#told")).containsText("Done");
    }

    /** A whole first change; the post falls once and is gone back from; three lessons; a time, and a better one. */
    private void firstDay(Hand hand, Page page) {
        begun(page, "VIOLIN 4/4");
        takeOff(hand, page, "II");
        Browser.assertAccessible(page);
        hand.press(page, "do-GRAPHITE");
        putOn(hand, page, "II");
        for (String string : List.of("I", "II", "III")) {
            if (!postFell(page)) {
                hand.take(page, string);
                hand.turn(page, string, -540);
            }
        }
        for (int i = 0; i < 80 && !postFell(page); i++) {
            hand.press(page, "do-PUSH");
        }
        assertThat(page.locator(".practice-views")).containsText("The sound post has fallen.");
        Browser.assertAccessible(page);
        for (int i = 0; i < 40 && postFell(page); i++) {
            hand.press(page, "back");
        }
        assertThat(page.locator(".practice-views")).not().containsText("has fallen");

        begin(hand, page, "#lesson-LISTEN button");
        bringUp(hand, page, "III");
        hand.press(page, "do-PLUCK");
        assertDone(page);
        Browser.assertAccessible(page);
        begin(hand, page, "#lesson-TAKE_OFF button");
        takeOff(hand, page, "IV");
        assertDone(page);
        begin(hand, page, "#lesson-EASE_THE_BRIDGE button");
        hand.press(page, "do-CARD");
        for (int times = 0; times < 9 && page.locator(".lesson-done").count() == 0; times++) {
            hand.press(page, "ease-back");
        }
        assertDone(page);
        page.navigate("/practice");
        assertThat(page.locator(".lesson", new Page.LocatorOptions().setHasText("comes back on")))
                .hasCount(3);
        Browser.assertAccessible(page);

        for (boolean better : new boolean[] {false, true}) {
            begin(hand, page, "#change-III");
            takeOff(hand, page, "III");
            if (better) {
                hand.press(page, "do-GRAPHITE");
            }
            putOn(hand, page, "III");
            if (better) {
                hand.press(page, "do-CARD");
                assertThat(page.locator(".shadow-runs")).isVisible();
            }
            hand.press(page, "ready");
            assertThat(page.locator(".clock-result"))
                    .containsText(better ? "faster than your best until now" : "Your first that counts");
        }
        Browser.assertAccessible(page);
        Browser.assertFits(page);
    }

    @Test
    void withThePointer() {
        Page page = signedIn(stranger().signIn(), 1280);
        List<String> sounds = new ArrayList<>();
        page.onRequest(request -> {
            if (request.url().contains(".wav")) {
                sounds.add(request.url());
            }
        });
        firstDay(POINTER, page);
        assertThat(sounds).as("silent until asked").isEmpty();
        begun(page, "VIOLIN 4/4");
        page.locator("#hear").check();
        page.waitForRequest("**/sound/I.wav", () -> POINTER.press(page, "do-PLUCK"));
        assertThat(page.locator("#hear")).isChecked();
    }

    @Test
    void withKeysAlone() {
        Page page = signedIn(stranger().signIn(), 390);
        firstDay(KEYS, page);
    }

    /** Strand, groove, knob, bridge and card by the pointer, where they are drawn. */
    @Test
    void isDoneOnTheDrawings() {
        Page page = begun(signedIn(stranger().signIn(), 1280), "VIOLA 16");
        Locator told = page.locator("#told");
        BoundingBox strands = page.locator(".practice-strands svg").boundingBox();
        page.mouse().click(strands.x + strands.width * 0.6, strands.y + strands.height * 0.42);
        assertThat(told).containsText("String II sounds at its pitch");
        done(page);
        page.locator(".grip.at-II").dblclick();
        assertThat(page.locator(".practice-head .count")).containsText("2 things done");
        done(page);
        page.locator(".practice-above").click(new Locator.ClickOptions().setPosition(4, 4));
        assertThat(page.locator(".practice-head .count")).containsText("3 things done");
        done(page);
        POINTER.turn(page, "II", -180);
        page.locator(".grip-groove.at-II").click();
        assertThat(state(page, "II")).containsText("beside its groove");
        done(page);
        page.locator(".grip-groove.at-II").click();
        assertThat(state(page, "II")).not().containsText("beside its groove");
        done(page);
        POINTER.turn(page, "II", -720);
        double tail = strands.x + strands.width - 6;
        page.mouse().click(tail, strands.y + strands.height * 0.42);
        assertThat(state(page, "II")).hasText("off");
        done(page);
        page.mouse().click(tail, strands.y + strands.height * 0.42);
        assertThat(state(page, "II")).containsText("tail only");
        done(page);
        BoundingBox hole = page.locator(".grip-hole.at-II").boundingBox();
        BoundingBox knob = page.locator(".grip.at-II").boundingBox();
        double towardsKnob = Math.signum(knob.x - hole.x) * hole.width * 1.2;
        page.mouse().move(hole.x + hole.width / 2, hole.y + hole.height / 2);
        page.mouse().down();
        page.mouse().move(hole.x + hole.width / 2 + towardsKnob, hole.y + hole.height / 2);
        assertThat(page.locator(".pulled-out")).containsText("mm, straight towards the wall");
        page.mouse().up();
        assertThat(state(page, "II")).not().containsText("tail only");
        done(page);
        assertThat(page.context().request().get(page.url() + "/attempt.json").text())
                .contains("STRAIGHT_TO_WALL");
        page.locator(".grip-pushing").click();
        page.locator(".hand-guiding").click();
        assertThat(page.locator("#pushing")).not().isChecked();
        assertThat(page.locator("#guiding")).not().isChecked();
        BoundingBox top = page.locator(".grip-bridge").boundingBox();
        page.mouse().move(top.x + top.width / 2, top.y + top.height / 2);
        page.mouse().down();
        page.mouse().move(top.x + top.width / 2 - 12, top.y + top.height / 2, new Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
        assertThat(page.locator(".practice-views")).containsText("towards the tailpiece");
        done(page);
        page.locator(".grip-card").click();
        assertThat(told).containsText("The card shows a gap");
    }

    /** What was done is drawn through with the slider and with the pointer on its line. */
    @Test
    void isDrawnThrough() {
        Page page = signedIn(stranger().signIn(), 1280);
        begin(POINTER, page, "#lesson-TAKE_OFF button");
        takeOff(POINTER, page, "IV");
        page.locator(".lesson-done a", new Page.LocatorOptions().setHasText("beside good hands"))
                .click();
        assertThat(page.locator("#yours")).containsText("1: peg of IV turned back");
        assertThat(page.locator("#theirs")).containsText("Good hands, 1: peg of IV turned back");
        page.locator("#at").focus();
        page.keyboard().press("End");
        assertThat(page.locator("#yours")).containsText("IV taken off");
        assertThat(page.locator("#moment-told")).containsText("IV taken off");
        BoundingBox line = page.locator(".practice-ledger svg").boundingBox();
        page.mouse().click(line.x + 2, line.y + line.height / 4);
        assertThat(page.locator("#yours")).containsText("Before anything was done");
        Browser.assertAccessible(page);
    }

    /** What is pressed after a sign-out, or without a connection, is sent when both are back, once. */
    @Test
    void noPressIsLost() {
        String who = stranger().signIn();
        Page page = begun(signedIn(who, 1280), "VIOLIN 4/4");
        page.locator("#string-II").click();
        done(page);
        page.context().clearCookies();
        page.locator("#turn-15").click();
        page.waitForURL("**/sign-in**");
        Browser.signIn(page, who);
        assertThat(page.locator(".practice-head .count")).containsText("One thing done");
        page.locator("#string-II").click();
        done(page);
        assertThat(state(page, "II")).containsText("cents flat");
        page.context().setOffline(true);
        page.locator("#turn15").click();
        assertThat(page.locator("#unsent")).isVisible();
        page.context().setOffline(false);
        assertThat(page.locator(".practice-head .count")).containsText("2 things done");
        assertThat(page.locator("#unsent")).isHidden();
        assertThat(state(page, "II")).hasText("at pitch");
        assertThat(browser.complaints()).as("the refusal itself").allMatch(one -> one.contains("403"));
        browser.complaints().clear();
    }
}
