package rosinedpeg.web.plan;

/** What every form says that takes work to the bench. */
abstract class RunStartForm {
    private boolean lookedAt;

    /** {@return whether somebody says that what stands in front of the work has been looked at} */
    public boolean isLookedAt() {
        return lookedAt;
    }

    public void setLookedAt(boolean lookedAt) {
        this.lookedAt = lookedAt;
    }
}
