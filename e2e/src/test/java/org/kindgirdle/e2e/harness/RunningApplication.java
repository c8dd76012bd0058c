package org.kindgirdle.e2e.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.MariaDbServer;

/** The jar as it is shipped, in a process of its own on a database of its own. */
public final class RunningApplication implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofMinutes(3);

    /** A machine with other builds on it starts the application and makes the demo slowly; an end is seen at once. */
    private static final Duration START_PATIENCE = Duration.ofMinutes(10);

    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static @Nullable RunningApplication shared;

    /**
     * The demo's database on its first day, of the jar that was just built: playing the seasons takes longer than
     * reading them back. Kept for other runs of the tests, for two go on side by side.
     */
    private static final Path FIRST_DAY = Installed.FOLDER.resolveSibling("first-day-" + Installed.EDITION + ".sql");

    private final MariaDbServer database;
    private final Map<String, String> settings;
    private final int port = MariaDbServer.freePort();
    private final boolean demo;
    private final Path log;
    private @Nullable Process process;

    private RunningApplication(boolean demo, MariaDbServer database, Map<String, String> settings) {
        this.demo = demo;
        this.database = database;
        this.settings = settings;
        try {
            log = Files.createTempFile("kg-e2e", ".log");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Runtime.getRuntime().addShutdownHook(new Thread(this::kill));
        if (demo && Files.exists(FIRST_DAY)) {
            database.fillFrom(FIRST_DAY);
        }
        start();
    }

    /** The demo nursery, for tests that leave its clock alone. */
    public static synchronized RunningApplication sharedDemo() {
        if (shared == null) {
            shared = demo();
        }
        return shared;
    }

    /** A demo nursery of one's own: its clock may be moved, and it may be killed. */
    public static RunningApplication demo() {
        return demoOn(MariaDbServer.start(), Map.of());
    }

    /** Likewise, on a database of one's own and with more settings, as KG_PHOTOS. */
    public static synchronized RunningApplication demoOn(MariaDbServer database, Map<String, String> settings) {
        RunningApplication application = new RunningApplication(true, database, settings);
        if (!Files.exists(FIRST_DAY)) {
            try {
                Path dump = Files.createTempFile(Installed.FOLDER.getParent(), "first-day-", ".part");
                application.database.dumpTo(dump);
                Files.move(dump, FIRST_DAY, StandardCopyOption.ATOMIC_MOVE);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return application;
    }

    /** A nursery with nobody and nothing in it. */
    public static RunningApplication empty() {
        return new RunningApplication(false, MariaDbServer.start(), Map.of());
    }

    public String base() {
        return "http://127.0.0.1:" + port;
    }

    public MariaDbServer database() {
        return database;
    }

    /** The API, without a browser. */
    public Client api(String name) {
        return new Client(base()).signedInAs(name, Visit.PASSWORD);
    }

    /** The same for measuring. */
    public Client measuredApi(String name) {
        return Client.measuring(base()).signedInAs(name, Visit.PASSWORD);
    }

    /** The one-time link that the console showed. */
    public String firstOwnerLink() {
        Matcher link = Pattern.compile("/first-owner\\?token=\\S+").matcher(said());
        if (!link.find()) {
            throw new AssertionError("no link for the first owner in: " + said());
        }
        return link.group();
    }

    public void start() {
        ProcessBuilder builder = new ProcessBuilder(Installed.command("-Xmx384m"))
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        builder.environment()
                .putAll(Map.of(
                        "KG_DB_URL",
                        database.url(),
                        "KG_DB_USER",
                        "root",
                        "KG_DB_PASSWORD",
                        "",
                        "KG_PORT",
                        Integer.toString(port),
                        "KG_DEMO",
                        Boolean.toString(demo),
                        "KG_STATION",
                        demo ? "simulated" : "none"));
        builder.environment().putAll(settings);
        try {
            process = builder.start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        try {
            awaitReady();
        } catch (IllegalStateException e) {
            // left running it would slow down whatever comes after it
            kill();
            throw e;
        }
    }

    /** What the process takes of the machine's memory, in MB. */
    public long residentMegabytes() {
        try {
            long pid = Objects.requireNonNull(process).pid();
            return Files.readAllLines(Path.of("/proc/" + pid + "/status")).stream()
                            .filter(line -> line.startsWith("VmRSS"))
                            .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")))
                            .findFirst()
                            .orElse(0)
                    / 1024;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public boolean isRunning() {
        return process != null && process.isAlive();
    }

    /** As a power cut would end it. */
    public void kill() {
        end(true);
    }

    public void stop() {
        end(false);
    }

    @Override
    public void close() {
        kill();
        database.close();
    }

    private void end(boolean atOnce) {
        if (process == null) {
            return;
        }
        if (atOnce) {
            process.destroyForcibly();
        } else {
            process.destroy();
        }
        try {
            if (!process.waitFor(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
                throw new IllegalStateException("the application does not end: " + said());
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        process = null;
    }

    private void awaitReady() {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base() + "/actuator/health/readiness"))
                .build();
        long until = System.nanoTime() + START_PATIENCE.toNanos();
        while (System.nanoTime() < until) {
            if (process == null || !process.isAlive()) {
                throw new IllegalStateException("the application did not start: " + said());
            }
            try {
                if (HTTP.send(request, BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
                TimeUnit.MILLISECONDS.sleep(100);
            } catch (IOException notYet) {
                pause();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
        throw new IllegalStateException("the application is not ready: " + said());
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(100);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private String said() {
        try {
            return Files.readString(log);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
