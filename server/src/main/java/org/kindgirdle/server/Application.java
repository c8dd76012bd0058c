package org.kindgirdle.server;

import java.nio.file.Path;
import java.util.Arrays;
import org.kindgirdle.server.backup.BackupCommand;
import org.kindgirdle.server.projection.Rebuild;
import org.kindgirdle.server.time.SystemClock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Serves the nursery; with the argument {@code rebuild} it makes every projection anew and ends, with {@code backup},
 * {@code verify} or {@code restore} and a file it does that.
 */
@SpringBootApplication
@ConfigurationPropertiesScan
public class Application {

    public static void main(String[] args) {
        if (args.length == 2 && BackupCommand.NAMES.contains(args[0])) {
            Path data = Path.of(System.getProperty("kg.data", "."));
            System.exit(new BackupCommand(System.getenv(), data, new SystemClock().clock(), System.out)
                    .run(args[0], Path.of(args[1]).toAbsolutePath()));
        }
        // a connection is tried before it is given out, always: the database may have been started anew meanwhile
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
        if (Arrays.asList(args).contains("rebuild")) {
            try (ConfigurableApplicationContext context = new SpringApplicationBuilder(Application.class)
                    .web(WebApplicationType.NONE)
                    .logStartupInfo(false)
                    .run(args)) {
                Rebuild.Result result = context.getBean(Rebuild.class).run();
                System.out.println(result);
                System.exit(SpringApplication.exit(context, () -> result.wrong().isEmpty() ? 0 : 2));
            }
        }
        SpringApplication.run(Application.class, args);
    }
}
