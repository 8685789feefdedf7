/** New strings while they settle: the forecast, the readings, and when they hold. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "instrument", "drawer", "diary", "drawing", "working"})
package rosinedpeg.web.settling;
