package stillpond.app.access;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.authentication.DelegatingAuthenticationEntryPoint;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;

@Configuration
class AccessConfiguration {

    /** Nothing inline, nothing evaluated, nothing from elsewhere. */
    static final String CONTENT_SECURITY_POLICY = String.join(
            "; ",
            "default-src 'none'",
            "script-src 'self'",
            "style-src 'self'",
            "img-src 'self' blob:",
            "font-src 'self'",
            "connect-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'");

    /** Calls made by scripts carry this header; they get a status, not the sign-in page. */
    private static final RequestHeaderRequestMatcher SCRIPTED =
            new RequestHeaderRequestMatcher("X-Requested-With", "desk");

    @Bean
    SecurityFilterChain filterChain(HttpSecurity http, ProjectMembership membership) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in", "/demo/sign-in", "/assets/**", "/favicon.ico", "/error", "/actuator/health")
                        .permitAll()
                        .requestMatchers("/projects/{project}", "/projects/{project}/**")
                        .access(membership)
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in").defaultSuccessUrl("/"))
                .logout(logout -> logout.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
                .exceptionHandling(handling ->
                        handling.authenticationEntryPoint(signInOrStatus()).accessDeniedHandler(notFoundForStrangers()))
                .headers(headers -> headers.contentSecurityPolicy(
                                policy -> policy.policyDirectives(CONTENT_SECURITY_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .cacheControl(cache -> cache.disable()))
                .csrf(Customizer.withDefaults())
                .build();
    }

    private static AuthenticationEntryPoint signInOrStatus() {
        return DelegatingAuthenticationEntryPoint.builder()
                .addEntryPointFor(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED), SCRIPTED)
                .defaultEntryPoint(new LoginUrlAuthenticationEntryPoint("/sign-in"))
                .build();
    }

    /** To somebody who is not a member a project does not exist. */
    private static AccessDeniedHandler notFoundForStrangers() {
        return (request, response, denied) -> response.sendError(
                denied instanceof CsrfException ? HttpServletResponse.SC_FORBIDDEN : HttpServletResponse.SC_NOT_FOUND);
    }
}
