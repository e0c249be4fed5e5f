package stillpond.app.export;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import stillpond.app.account.SignedIn;

/** Has the story of a project tell who took which file of it; told where the answer is made, so that no new kind of file is forgotten. */
@Configuration(proxyBeanMethods = false)
class GivenFiles implements WebMvcConfigurer, HandlerInterceptor {

    private final JdbcClient database;
    private final Clock clock;

    GivenFiles(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this)
                .addPathPatterns("/projects/*/**")
                // The story itself, and what was told when it was asked for.
                .excludePathPatterns("/projects/*/story/**", "/projects/*/hand-on/jobs/**");
    }

    /** Once for each answer: of a file that is sent while it is made, when all of it has been. */
    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception problem) {
        String disposition = response.getHeader(HttpHeaders.CONTENT_DISPOSITION);
        Authentication present = SecurityContextHolder.getContext().getAuthentication();
        if (disposition == null
                || response.getStatus() != HttpStatus.OK.value()
                || present == null
                || !(present.getPrincipal() instanceof SignedIn person)) {
            return;
        }
        ContentDisposition file = ContentDisposition.parse(disposition);
        if (!file.isAttachment()) {
            return;
        }
        Map<?, ?> named = (Map<?, ?>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        Object sheet = named.get("sheet");
        database.sql("""
                        insert into handed_note (id, project_id, author_id, made_at, words, sheet_id)
                        values (?, ?, ?, ?, ?, ?)""")
                .params(
                        UUID.randomUUID(),
                        UUID.fromString(named.get("project").toString()),
                        person.id(),
                        clock.instant().atOffset(ZoneOffset.UTC),
                        file.getFilename(),
                        sheet == null ? null : UUID.fromString(sheet.toString()))
                .update();
    }
}
