package org.kindgirdle.server.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.UnixDomainSocketAddress;
import java.nio.channels.SocketChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** A private MariaDB on loopback in a folder of its own, as durable as the one that {@code kg} starts. */
public final class MariaDbServer implements AutoCloseable {

    /** Many of them run at once; one that is measured has what the start command gives it. */
    private static final int POOL_MB = Integer.getInteger("kindgirdle.pool", 64);

    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private final Path folder;
    private final int port;
    private Process process;

    private MariaDbServer(Path folder, int port) {
        this.folder = folder;
        this.port = port;
        this.process = launch();
    }

    /** Makes and starts one; it ends with the virtual machine at the latest. */
    public static MariaDbServer start() {
        try {
            return startIn(Files.createTempDirectory("kg-db"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Likewise, in an empty folder, as on a disk of its own. */
    public static MariaDbServer startIn(Path folder) {
        try {
            // its own: in a shared one, another server that starts clears away what this one sorts in
            Files.createDirectory(folder.resolve("scratch"));
            run(List.of(
                    "mariadb-install-db",
                    "--no-defaults",
                    "--user=" + user(),
                    "--datadir=" + folder.resolve("db"),
                    "--tmpdir=" + folder.resolve("scratch"),
                    "--auth-root-authentication-method=normal",
                    "--skip-test-db"));
            MariaDbServer server = new MariaDbServer(folder, freePort());
            Runtime.getRuntime().addShutdownHook(new Thread(server::close));
            server.sql("create database kindgirdle character set utf8mb4 collate utf8mb4_unicode_520_ci");
            return server;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public String url() {
        return "jdbc:mariadb://127.0.0.1:" + port + "/kindgirdle";
    }

    /** Writes the whole database into a file, as it stands at one moment. */
    public void dumpTo(Path file) {
        run(List.of(
                "mariadb-dump",
                "--no-defaults",
                "--socket=" + folder.resolve("s"),
                "--user=root",
                "--single-transaction",
                "--triggers",
                "--routines",
                "--result-file=" + file,
                "kindgirdle"));
    }

    /** Fills the empty database from such a file. */
    public void fillFrom(Path dump) {
        run(List.of(
                "mariadb",
                "--no-defaults",
                "--socket=" + folder.resolve("s"),
                "--user=root",
                "--database=kindgirdle",
                "--execute=source " + dump));
    }

    /** Empties the database, so that an application can begin anew. */
    public void empty() {
        sql("drop database kindgirdle;"
                + " create database kindgirdle character set utf8mb4 collate utf8mb4_unicode_520_ci");
    }

    /** Ends it as a power cut would. */
    public void kill() {
        process.destroyForcibly();
        awaitExit();
    }

    public boolean isRunning() {
        return process.isAlive();
    }

    /** Starts it on what is on the disk. */
    public void startAgain() {
        process = launch();
    }

    @Override
    public void close() {
        process.destroy();
        awaitExit();
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path path : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(path);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A port that nobody listens on. */
    public static int freePort() {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Process launch() {
        try {
            Process started = new ProcessBuilder(
                            "mariadbd",
                            "--no-defaults",
                            "--user=" + user(),
                            "--datadir=" + folder.resolve("db"),
                            "--tmpdir=" + folder.resolve("scratch"),
                            "--bind-address=127.0.0.1",
                            "--port=" + port,
                            "--socket=" + folder.resolve("s"),
                            "--skip-name-resolve",
                            "--sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO",
                            "--innodb-flush-log-at-trx-commit=1",
                            "--innodb-buffer-pool-size=" + POOL_MB + "M",
                            "--default-time-zone=+00:00")
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(
                            folder.resolve("log").toFile()))
                    .start();
            long until = System.nanoTime() + PATIENCE.toNanos();
            while (!isListening()) {
                if (!started.isAlive() || System.nanoTime() > until) {
                    throw new IllegalStateException("mariadbd did not start; see " + folder.resolve("log"));
                }
                TimeUnit.MILLISECONDS.sleep(50);
            }
            return started;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** By both ways: it opens the port before its own socket. */
    private boolean isListening() {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port);
                SocketChannel own = SocketChannel.open(UnixDomainSocketAddress.of(folder.resolve("s")))) {
            return socket.isConnected() && own.isConnected();
        } catch (IOException notYet) {
            return false;
        }
    }

    private void sql(String statements) {
        run(List.of(
                "mariadb",
                "--no-defaults",
                "--socket=" + folder.resolve("s"),
                "--user=root",
                "--execute=" + statements));
    }

    private void awaitExit() {
        try {
            if (!process.waitFor(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static String user() {
        return System.getProperty("user.name");
    }

    private static void run(List<String> command) {
        try {
            Process run = new ProcessBuilder(command).redirectErrorStream(true).start();
            String said = new String(run.getInputStream().readAllBytes());
            if (run.waitFor() != 0) {
                throw new IllegalStateException(command.get(0) + " failed: " + said);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(command.get(0) + " can't be run; ./kg test installs it", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
