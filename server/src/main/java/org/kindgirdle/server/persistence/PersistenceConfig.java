package org.kindgirdle.server.persistence;

import org.hibernate.cfg.MappingSettings;
import org.hibernate.type.format.jackson.Jackson3JsonFormatMapper;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.json.JsonMapper;

/** Columns of JSON are read and written as the API reads and writes the same types. */
@Configuration
class PersistenceConfig {

    @Bean
    HibernatePropertiesCustomizer json(JsonMapper json) {
        return properties -> properties.put(MappingSettings.JSON_FORMAT_MAPPER, new Jackson3JsonFormatMapper(json));
    }
}
