/** Whether a string fits an instrument, before anybody opens the packet. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "instrument", "drawer", "findings", "drawing"})
package rosinedpeg.web.fit;
