package org.kindgirdle.server.security;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import org.kindgirdle.server.problem.ProblemBody;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** Sessions, CSRF, roles and headers. What is not allowed here is forbidden. */
@Configuration
class SecurityConfig {

    private static final String POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:"
            + " blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; base-uri 'none';"
            + " form-action 'self'; frame-ancestors 'none'";

    private static final String[] HOUSE = {
        "/api/v1/site",
        "/api/v1/places/**",
        "/api/v1/species/**",
        "/api/v1/recipes/**",
        "/api/v1/trials/*/decision",
        "/api/v1/people/**",
        "/api/v1/imports/**",
        "/api/v1/house-rules/**",
        "/api/v1/prices",
        "/api/v1/supplies"
    };

    /** What is reckoned and not kept: whoever may look may ask. */
    private static final String[] SUMS = {"/api/v1/sums/**", "/api/v1/set-previews", "/api/v1/set-drawings"};

    /** Where nothing is served, as when projections are made anew, there is nothing to guard. */
    @Bean
    @ConditionalOnWebApplication
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts, CookieNames names, SecurityLog log)
            throws Exception {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieName(names.token());
        return http.csrf(csrf -> csrf.spa().csrfTokenRepository(tokens))
                .securityContext(context -> context.securityContextRepository(contexts))
                .authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers("/api/v1/session", "/api/v1/first-owner")
                        .permitAll()
                        .requestMatchers("/actuator/health/**")
                        .permitAll()
                        .requestMatchers(
                                HttpMethod.GET,
                                "/api/v1/people/**",
                                "/api/v1/tables/people",
                                "/api/v1/nursery-file",
                                "/api/v1/backups",
                                "/api/v1/security-events",
                                "/api/v1/imports/**")
                        .hasRole("OWNER")
                        .requestMatchers(HttpMethod.GET, "/api/**")
                        .authenticated()
                        .requestMatchers("/api/v1/me/**")
                        .authenticated()
                        .requestMatchers(SUMS)
                        .authenticated()
                        .requestMatchers(HOUSE)
                        .hasRole("OWNER")
                        .requestMatchers("/api/v1/**")
                        .hasAnyRole("OWNER", "GROWER")
                        .requestMatchers("/api/**", "/actuator/**")
                        .denyAll()
                        .requestMatchers(HttpMethod.GET, "/**")
                        .permitAll()
                        .anyRequest()
                        .denyAll())
                .exceptionHandling(handling -> handling.authenticationEntryPoint(
                                (request, response, refused) -> ProblemBody.write(
                                        response,
                                        HttpStatus.UNAUTHORIZED,
                                        Refusals.say("notSignedIn.title"),
                                        Refusals.say("signIn.again")))
                        .accessDeniedHandler((request, response, refused) -> {
                            if (refused instanceof CsrfException) {
                                ProblemBody.write(
                                        response, HttpStatus.FORBIDDEN, Refusals.say("notAllowed.title"), NO_TOKEN);
                            } else {
                                noteRefusal(log, request);
                                ProblemBody.write(
                                        response,
                                        HttpStatus.FORBIDDEN,
                                        Refusals.say("notAllowed.title"),
                                        Refusals.say("signIn.role"));
                            }
                        }))
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
                        .referrerPolicy(
                                referrer -> referrer.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN)))
                .addFilterAfter(new StrangerLimit(), AnonymousAuthenticationFilter.class)
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .build();
    }

    private static final String NO_TOKEN = Refusals.say("signIn.token");

    /** The log is for people: what fails because the database is away must not fail once more. */
    private static void noteRefusal(SecurityLog log, HttpServletRequest request) {
        if (request.getUserPrincipal() != null) {
            log.record(
                    SecurityEventKind.REFUSED,
                    request.getUserPrincipal().getName(),
                    request.getMethod() + " " + request.getRequestURI());
        }
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwords() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    UserDetailsService users(PersonRepository people) {
        return name ->
                people.findByName(name).map(People::toSignedIn).orElseThrow(() -> new UsernameNotFoundException(name));
    }

    @Bean
    AuthenticationManager authentication(UserDetailsService users, PasswordEncoder passwords) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(users);
        provider.setPasswordEncoder(passwords);
        return new ProviderManager(provider);
    }

    /** The repository that the framework makes, with sessions that are not written for a read. */
    @Bean
    static BeanPostProcessor quietSessions(ObjectProvider<SessionUse> use) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof JdbcIndexedSessionRepository kept
                        ? QuietSessions.of(kept, use.getObject())
                        : bean;
            }
        };
    }

    /** It outlives the browser as long as the session does: a phone that was switched off need not sign in again. */
    @Bean
    CookieSerializer cookie(@Value("${spring.session.timeout}") Duration lives, CookieNames names) {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieMaxAge((int) lives.toSeconds());
        cookie.setCookieName(names.session());
        cookie.setUseHttpOnlyCookie(true);
        cookie.setSameSite("Strict");
        return cookie;
    }
}
