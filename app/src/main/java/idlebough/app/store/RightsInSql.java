package idlebough.app.store;

import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Hands the roles of every {@link Right} to the statements, by its name. */
@Configuration
class RightsInSql {
    @Bean
    ConfigurationCustomizer rights() {
        return configuration -> {
            for (Right right : Right.values()) {
                configuration.getVariables().put(right.name(), right.getRoles());
            }
        };
    }
}
