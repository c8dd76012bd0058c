package org.kindgirdle.server.time;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one place where the system's clock is taken from. */
@Configuration
public class SystemClock {

    @Bean
    public Clock clock() {
        return Clock.systemUTC();
    }
}
