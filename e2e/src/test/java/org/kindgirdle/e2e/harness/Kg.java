package org.kindgirdle.e2e.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The {@code kg} command on a data folder of its own. */
public final class Kg implements AutoCloseable {

    /** Those that have started something: it keeps itself running, also when the tests are broken off. */
    private static final Set<Kg> STARTED = ConcurrentHashMap.newKeySet();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> STARTED.forEach(kg -> kg.run("stop"))));
    }

    private final Map<String, String> settings = new HashMap<>();

    public Kg(Path data, int port) {
        settings.put("KG_DATA", data.toString());
        settings.put("KG_PORT", Integer.toString(port));
        settings.put("KG_APP", Installed.FOLDER.toString());
        settings.put("KG_JAVA_OPTIONS", Installed.COMPILER);
    }

    /** The application that it is given, built elsewhere. */
    public Path application() {
        return Path.of(settings.get("KG_APP"));
    }

    /** What one run said, and how it ended. */
    public record Outcome(int code, String said) {

        public Outcome expectSuccess() {
            if (code != 0) {
                throw new AssertionError("kg ended with " + code + ": " + said);
            }
            return this;
        }

        /** The first group of a pattern in what was said. */
        public String find(String pattern) {
            Matcher matcher = Pattern.compile(pattern).matcher(said);
            if (!matcher.find()) {
                throw new AssertionError("no " + pattern + " in: " + said);
            }
            return matcher.group(1);
        }
    }

    public Kg with(String name, String value) {
        settings.put(name, value);
        return this;
    }

    public Outcome run(String... arguments) {
        if (List.of("start", "update").contains(arguments[0])) {
            STARTED.add(this);
        }
        List<String> command =
                new ArrayList<>(List.of(Project.ROOT.resolve("kg").toString()));
        command.addAll(List.of(arguments));
        return run(command);
    }

    /** Runs any command with kg's settings. */
    public Outcome run(List<String> command) {
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(settings);
        try {
            Process process = builder.start();
            process.getOutputStream().close();
            String said = new String(process.getInputStream().readAllBytes());
            if (!process.waitFor(5, TimeUnit.MINUTES)) {
                process.destroyForcibly();
                throw new AssertionError(command + " does not end");
            }
            return new Outcome(process.exitValue(), said);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        run("stop");
        STARTED.remove(this);
    }
}
