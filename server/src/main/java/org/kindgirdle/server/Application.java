package org.kindgirdle.server;

import java.util.Arrays;
import org.kindgirdle.server.journal.Rebuild;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.ConfigurableApplicationContext;

/** Serves the nursery; with the argument {@code rebuild} it makes every projection anew and ends. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class Application {

    public static void main(String[] args) {
        // a connection is tried before it is given out, always: the database may have been started anew meanwhile
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
        if (Arrays.asList(args).contains("rebuild")) {
            try (ConfigurableApplicationContext context = new SpringApplicationBuilder(Application.class)
                    .web(WebApplicationType.NONE)
                    .logStartupInfo(false)
                    .run(args)) {
                System.out.println(context.getBean(Rebuild.class).run());
            }
            return;
        }
        SpringApplication.run(Application.class, args);
    }
}
