package org.kindgirdle.server.http;

import org.apache.catalina.core.StandardHost;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the web server treats whoever is slow or odd. */
@Configuration
class ServerSetup {

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> patience() {
        return factory -> {
            factory.addEngineValves(new PatientValve());
            factory.addContextCustomizers(context -> {
                if (context.getParent() instanceof StandardHost host) {
                    host.setErrorReportValveClass(ProblemReportValve.class.getName());
                }
            });
        };
    }
}
