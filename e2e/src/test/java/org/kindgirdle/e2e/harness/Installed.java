package org.kindgirdle.e2e.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.kindgirdle.server.harness.MariaDbServer;

/** The application laid out as {@code kg} does it, from the jar that was just built. */
final class Installed {

    /**
     * No application of the tests lives long enough to earn back what the optimising compiler costs; one that is
     * measured has it.
     */
    static final String COMPILER =
            Boolean.getBoolean("kindgirdle.measured") ? "-XX:+TieredCompilation" : "-XX:TieredStopAtLevel=1";

    /** Which jar it is. */
    static final String EDITION = edition();

    static final Path FOLDER = layOut();

    private static final String CLASSES = "classes.jsa";
    private static final String USED_BY = "used-by-";

    private Installed() {}

    /** The command that runs it. */
    static List<String> command(String... options) {
        List<String> command = new ArrayList<>(List.of(java(), "-XX:+UseSerialGC", COMPILER));
        command.addAll(List.of(options));
        command.add("-XX:SharedArchiveFile=" + FOLDER.resolve(CLASSES));
        command.addAll(List.of("-jar", FOLDER.resolve("kind-girdle.jar").toString()));
        return command;
    }

    /** Once for each jar: runs of the tests that go on side by side, or follow one another, share it. */
    private static Path layOut() {
        Path target = Project.ROOT.resolve("e2e/target");
        Path folder = target.resolve("app-" + EDITION);
        try (FileChannel alone =
                FileChannel.open(target.resolve("app.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            // held until the channel is closed
            alone.lock();
            clearOld();
            if (!Files.exists(folder.resolve(CLASSES))) {
                empty(folder);
                extract(folder);
                keepClasses(folder);
            }
            Files.writeString(folder.resolve(USED_BY + ProcessHandle.current().pid()), "");
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void extract(Path folder) throws IOException {
        Path jar = jar();
        run(
                List.of(
                        java(),
                        "-Djarmode=tools",
                        "-jar",
                        jar.toString(),
                        "extract",
                        "--destination",
                        folder.toString()),
                Map.of());
        Files.move(folder.resolve(jar.getFileName()), folder.resolve("kind-girdle.jar"));
    }

    private static void keepClasses(Path folder) throws IOException {
        Path unfinished = folder.resolve(CLASSES + ".part");
        try (MariaDbServer database = MariaDbServer.start()) {
            run(
                    List.of(
                            java(),
                            "-XX:+UseSerialGC",
                            COMPILER,
                            "-XX:ArchiveClassesAtExit=" + unfinished,
                            "-Dspring.context.exit=onRefresh",
                            "-jar",
                            folder.resolve("kind-girdle.jar").toString()),
                    Map.of("KG_DB_URL", database.url(), "KG_DB_USER", "root", "KG_DB_PASSWORD", "", "KG_PORT", "0"));
        }
        Files.move(unfinished, folder.resolve(CLASSES));
    }

    /** What runs of other jars have left that are over. */
    private static void clearOld() throws IOException {
        try (Stream<Path> old = Files.list(Project.ROOT.resolve("e2e/target"))) {
            for (Path one : old.toList()) {
                String name = one.getFileName().toString();
                if (name.contains(EDITION)) {
                    continue;
                }
                if (name.matches("app-[\\d-]+") && !isUsed(one)) {
                    empty(one);
                }
                if (name.matches("first-day-.*sql")) {
                    Files.delete(one);
                }
            }
        }
    }

    private static boolean isUsed(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> name.startsWith(USED_BY))
                    .anyMatch(name -> ProcessHandle.of(Long.parseLong(name.substring(USED_BY.length())))
                            .isPresent());
        }
    }

    private static void empty(Path folder) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path path : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(path);
                }
            }
        }
    }

    private static void run(List<String> command, Map<String, String> settings) {
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(settings);
        try {
            Process process = builder.start();
            String said = new String(process.getInputStream().readAllBytes());
            if (process.waitFor() != 0) {
                throw new IllegalStateException(String.join(" ", command) + ": " + said);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }

    private static String edition() {
        try {
            return Files.size(jar()) + "-" + Files.getLastModifiedTime(jar()).toMillis();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path jar() {
        try (Stream<Path> files = Files.list(Project.ROOT.resolve("server/target"))) {
            return files.filter(path -> path.toString().endsWith("-app.jar"))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("there is no jar in server/target: build it first"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
