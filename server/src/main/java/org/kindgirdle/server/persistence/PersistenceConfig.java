package org.kindgirdle.server.persistence;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.persistence.EntityManagerFactory;
import org.hibernate.cfg.MappingSettings;
import org.hibernate.type.format.jackson.Jackson3JsonFormatMapper;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.transaction.PlatformTransactionManager;
import tools.jackson.databind.json.JsonMapper;

/** How Hibernate is set up beside what the properties say. */
@Configuration
class PersistenceConfig {

    /** Columns of JSON are read and written as the API reads and writes the same types. */
    @Bean
    HibernatePropertiesCustomizer json(JsonMapper json) {
        return properties -> properties.put(MappingSettings.JSON_FORMAT_MAPPER, new Jackson3JsonFormatMapper(json));
    }

    @Bean
    static BeanPostProcessor patientConnections() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof HikariDataSource pool ? new PatientConnections(pool) : bean;
            }
        };
    }

    @Bean
    PlatformTransactionManager transactionManager(EntityManagerFactory entities) {
        JpaTransactionManager manager = new JpaTransactionManager(entities);
        manager.setJpaDialect(new FewRoundTrips());
        return manager;
    }
}
