package idlebough.app.account;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** Sessions in the database, half a day long. */
@Configuration
@EnableJdbcHttpSession(maxInactiveIntervalInSeconds = SessionConfig.HALF_A_DAY)
class SessionConfig {
    static final int HALF_A_DAY = 12 * 60 * 60;
    static final String COOKIE = "bough";

    @Bean
    @Primary
    CalmSessions calmSessions(JdbcIndexedSessionRepository kept) {
        return new CalmSessions(kept);
    }

    @Bean
    CookieSerializer sessionCookie(@Value("${bough.secure-cookies:false}") boolean secure) {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName(COOKIE);
        cookie.setCookiePath("/");
        cookie.setUseHttpOnlyCookie(true);
        cookie.setUseSecureCookie(secure);
        cookie.setSameSite("Lax");
        return cookie;
    }
}
