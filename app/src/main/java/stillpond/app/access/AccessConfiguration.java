package stillpond.app.access;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Objects;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDeniedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.authentication.DelegatingAuthenticationEntryPoint;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;
import stillpond.app.account.SignInThrottle;
import stillpond.app.account.SignedIn;
import stillpond.app.account.SigningIn;
import stillpond.app.live.LiveLines;
import stillpond.app.settings.PondSettings;

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

    /** What a page of ours never asks of a browser. */
    private static final String PERMISSIONS_POLICY =
            "accelerometer=(), camera=(), display-capture=(), geolocation=(), gyroscope=(), hid=(), magnetometer=(), "
                    + "microphone=(), midi=(), payment=(), serial=(), usb=()";

    /** What each filter takes is not measured: measuring it took longer than the filters. */
    @Bean
    SecurityObservationSettings withoutObservations() {
        return SecurityObservationSettings.noObservations();
    }

    /**
     * Of what a session would hold for somebody who is not signed in there is nothing: the token against forged requests and the page that
     * was asked for are kept in cookies, so that only a sign-in makes a session.
     */
    @Bean
    SecurityFilterChain filterChain(
            HttpSecurity http,
            ProjectMembership membership,
            SignInThrottle throttle,
            SigningIn signingIn,
            MetricsAccess metrics,
            LiveLines lines)
            throws Exception {
        return http.authorizeHttpRequests(requests -> requests
                        // What was let in goes on; a live line ends so when its session already has.
                        .dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers(
                                "/sign-in",
                                SigningIn.SECOND,
                                "/sign-in/passkey",
                                "/sign-in/passkey/options",
                                "/demo/sign-in",
                                "/assets/**",
                                "/favicon.ico",
                                "/error",
                                "/actuator/health",
                                "/actuator/health/liveness",
                                "/actuator/health/readiness")
                        .permitAll()
                        .requestMatchers("/actuator/prometheus")
                        .access(metrics)
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        // Whoever comes by a link that lets them in once has no session yet.
                        .requestMatchers(
                                "/join/{code}",
                                "/join/{code}/account",
                                "/forgotten",
                                "/reset/{code}",
                                "/visit/{code}/**")
                        .permitAll()
                        .requestMatchers("/projects/{project}", "/projects/{project}/**")
                        .access(membership)
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in").successHandler(onward(signingIn)))
                .addFilterBefore(new ThrottledSignIn(throttle), UsernamePasswordAuthenticationFilter.class)
                // Before anything reads what is sent.
                .addFilterBefore(AccessConfiguration::refuseFilesOfStrangers, CsrfFilter.class)
                .addFilterBefore(new FairShare(), CsrfFilter.class)
                .requestCache(cache -> cache.requestCache(new CookieRequestCache()))
                .logout(logout -> logout.logoutUrl("/sign-out")
                        .addLogoutHandler((request, response, person) -> endLines(request, lines))
                        .logoutSuccessUrl("/sign-in"))
                .exceptionHandling(handling ->
                        handling.authenticationEntryPoint(signInOrStatus()).accessDeniedHandler(notFoundForStrangers()))
                .headers(headers -> headers.contentSecurityPolicy(
                                policy -> policy.policyDirectives(CONTENT_SECURITY_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(permissions -> permissions.policy(PERMISSIONS_POLICY))
                        .cacheControl(cache -> cache.disable())
                        .addHeaderWriter(AccessConfiguration::keepNoData))
                .csrf(csrf -> csrf.csrfTokenRepository(tokenInCookie()))
                .build();
    }

    /** To the page that was asked for, or else to the shelf. */
    private static SavedRequestAwareAuthenticationSuccessHandler onward(SigningIn signingIn) {
        SavedRequestAwareAuthenticationSuccessHandler onward = new SavedRequestAwareAuthenticationSuccessHandler() {
            @Override
            public void onAuthenticationSuccess(
                    HttpServletRequest request, HttpServletResponse response, Authentication known)
                    throws ServletException, IOException {
                if (signingIn.enter((SignedIn) known.getPrincipal(), request, response)) {
                    super.onAuthenticationSuccess(request, response, known);
                } else {
                    response.sendRedirect(SigningIn.SECOND);
                }
            }
        };
        onward.setRequestCache(new CookieRequestCache());
        return onward;
    }

    /** Looking for a token in a form would take in all files that come with it. */
    private static void refuseFilesOfStrangers(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        Authentication present = SecurityContextHolder.getContext().getAuthentication();
        boolean isFile = Objects.toString(request.getContentType(), "").startsWith("multipart/");
        if (isFile && present == null) {
            ((HttpServletResponse) response).setStatus(HttpServletResponse.SC_UNAUTHORIZED);
        } else {
            chain.doFilter(request, response);
        }
    }

    private static CookieCsrfTokenRepository tokenInCookie() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setHeaderName("X-CSRF-TOKEN");
        tokens.setCookieName("pond-token");
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
        return tokens;
    }

    /** What calls are answered is as secret as the pages; what may be kept says so itself. */
    private static void keepNoData(HttpServletRequest request, HttpServletResponse response) {
        String type = Objects.toString(response.getContentType(), "");
        if (type.contains("json") && response.getHeader(HttpHeaders.CACHE_CONTROL) == null) {
            response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noStore().getHeaderValue());
        }
    }

    private static void endLines(HttpServletRequest request, LiveLines lines) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            lines.endOf(session.getId());
        }
    }

    /** Refuses what no browser sends, and a {@code Host} that is not ours, so that no redirect leads to it. */
    @Bean
    StrictHttpFirewall firewall(PondSettings settings) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(settings.hosts()::contains);
        firewall.setAllowedParameterValues(value -> value == null || value.indexOf('\0') < 0);
        return firewall;
    }

    @Bean
    RequestRejectedHandler rejections() {
        return (request, response, rejection) -> {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            response.setContentType("text/plain;charset=UTF-8");
            response.getWriter().write("This request is not one that is answered here; nothing was changed.");
        };
    }

    private static AuthenticationEntryPoint signInOrStatus() {
        return DelegatingAuthenticationEntryPoint.builder()
                .addEntryPointFor(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED), SCRIPTED)
                .defaultEntryPoint(new LoginUrlAuthenticationEntryPoint("/sign-in"))
                .build();
    }

    /** To somebody who is not a member a project does not exist; whoever is one, or was, is told what they may not do. */
    private static AccessDeniedHandler notFoundForStrangers() {
        return (request, response, denied) -> {
            // A browser may keep a 404, and go on seeing it when membership has begun.
            response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noStore().getHeaderValue());
            if (denied instanceof AuthorizationDeniedException known
                    && known.getAuthorizationResult() instanceof ProjectMembership.Told told) {
                tell(request, response, told.words());
            } else {
                response.sendError(
                        denied instanceof CsrfException
                                ? HttpServletResponse.SC_FORBIDDEN
                                : HttpServletResponse.SC_NOT_FOUND);
            }
        };
    }

    private static void tell(HttpServletRequest request, HttpServletResponse response, String words)
            throws IOException, ServletException {
        response.setStatus(HttpServletResponse.SC_FORBIDDEN);
        if (SCRIPTED.matches(request)) {
            response.setContentType("application/problem+json;charset=UTF-8");
            response.getWriter().write("{\"status\":403,\"detail\":\"" + words + "\"}");
        } else {
            response.setContentType("text/plain;charset=UTF-8");
            response.getWriter().write(words);
        }
    }
}
