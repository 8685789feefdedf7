/** Lantern Quay, the made-up workshop that the demonstration shows. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "account", "drawer", "instrument", "plan", "bench", "settling", "diary"})
package rosinedpeg.web.demonstration;
