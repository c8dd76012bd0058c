package org.kindgirdle.server.harness;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.kindgirdle.server.Application;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** The real application in this process, on a database that is there, with the tests' clock and folders of its own. */
public final class StartedNursery implements AutoCloseable {

    private final ConfigurableApplicationContext context;
    private final TestClock clock = new TestClock();
    private final Path photos = temporaryFolder();
    private final JdbcTemplate sql;
    private final String base;
    private final String printed;

    private StartedNursery(MariaDbServer database, LocalDate today) {
        clock.moveTo(today);
        sql = new JdbcTemplate(new DriverManagerDataSource(database.url(), "root", ""));
        PrintStream console = System.out;
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
        try {
            context = new SpringApplicationBuilder(Application.class)
                    .initializers((ApplicationContextInitializer<GenericApplicationContext>) this::replace)
                    .run(
                            "--server.port=0",
                            // a query that cannot be read is found here
                            "--spring.data.jpa.repositories.bootstrap-mode=default",
                            "--spring.datasource.url=" + database.url(),
                            "--spring.datasource.username=root",
                            "--spring.datasource.password=",
                            "--kindgirdle.photos=" + photos,
                            "--kindgirdle.imports=" + temporaryFolder(),
                            "--kindgirdle.backups=" + temporaryFolder(),
                            "--kindgirdle.demo=false");
        } finally {
            System.setOut(console);
        }
        printed = said.toString(StandardCharsets.UTF_8);
        base = "http://127.0.0.1:"
                + ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    /** @param today the day on which it is ten in the morning */
    public static StartedNursery on(MariaDbServer database, LocalDate today) {
        return new StartedNursery(database, today);
    }

    @Override
    public void close() {
        context.close();
    }

    private static Path temporaryFolder() {
        try {
            Path folder = Files.createTempDirectory("kg-photos");
            folder.toFile().deleteOnExit();
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The test's clock in place of the system's, and every statement counted. */
    private void replace(GenericApplicationContext application) {
        application.registerBean("testClock", TestClock.class, () -> clock, bean -> bean.setPrimary(true));
        application.registerBean("countingStatements", BeanPostProcessor.class, () -> new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource source
                        ? ProxyDataSourceBuilder.create(source)
                                .listener(new StatementCount())
                                .build()
                        : bean;
            }
        });
    }

    public String base() {
        return base;
    }

    public TestClock clock() {
        return clock;
    }

    public Path photos() {
        return photos;
    }

    /** What it said on the console while it started. */
    public String printed() {
        return printed;
    }

    public Client signedIn(String name, String password) {
        return new Client(base).signedInAs(name, password);
    }

    /** On a connection of its own, as somebody at the database's own console: what it writes is there at once. */
    public JdbcTemplate sql() {
        return sql;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }
}
