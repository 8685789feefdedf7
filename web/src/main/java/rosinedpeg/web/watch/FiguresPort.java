package rosinedpeg.web.watch;

import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import io.prometheus.metrics.exporter.httpserver.HTTPServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Figures for Prometheus, and for every collector that reads its form, on a port of their own that no page of ours is served at: a proxy
 * in front of the application cannot show it by mistake. Off unless a port is given.
 */
@Component
class FiguresPort implements SmartLifecycle {

    private final PrometheusMeterRegistry figures;
    private final String address;
    private final int port;
    private @Nullable HTTPServer server;

    FiguresPort(
            PrometheusMeterRegistry figures,
            @Value("${peg.watch.address}") String address,
            @Value("${peg.watch.port}") int port) {
        this.figures = figures;
        this.address = address;
        this.port = port;
    }

    @Override
    public void start() {
        if (port <= 0) {
            return;
        }
        try {
            server = HTTPServer.builder()
                    .hostname(address)
                    .port(port)
                    .registry(figures.getPrometheusRegistry())
                    .buildAndStart();
        } catch (IOException taken) {
            throw new UncheckedIOException("port " + port + " at " + address + " for the figures", taken);
        }
    }

    @Override
    public void stop() {
        HTTPServer running = server;
        server = null;
        if (running != null) {
            running.stop();
        }
    }

    @Override
    public boolean isRunning() {
        return server != null;
    }
}
