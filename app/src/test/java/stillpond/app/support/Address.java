package stillpond.app.support;

import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * An address of the application as it is programmed, and what it reads.
 *
 * @param path with names in braces
 * @param body the type that a message in JSON is read as; empty if none is read
 */
public record Address(String path, boolean isPost, Optional<Type> body, List<Asked> parameters) {

    /** A field of a form or a query. */
    public record Asked(String name, Type type) {}

    /** Every address below a project, also those that will be added later; those that remove something last. */
    public static List<Address> inProjects(TestPond pond) {
        RequestMappingHandlerMapping mappings =
                pond.bean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
        return mappings.getHandlerMethods().entrySet().stream()
                .map(each -> of(each.getKey(), each.getValue()))
                .filter(address -> address.path.startsWith("/projects/{project}"))
                .sorted(Comparator.comparing((Address address) -> address.path.contains("remove"))
                        .thenComparing(Address::path))
                .toList();
    }

    /** Whether it is answered and done with; a live line is not. */
    public boolean ends() {
        return !path.endsWith("/live");
    }

    private static Address of(RequestMappingInfo mapping, HandlerMethod handler) {
        Optional<Type> body = Arrays.stream(handler.getMethodParameters())
                .filter(parameter -> parameter.hasParameterAnnotation(RequestBody.class))
                .findFirst()
                .map(MethodParameter::getGenericParameterType);
        List<Asked> parameters = new ArrayList<>();
        for (MethodParameter parameter : handler.getMethodParameters()) {
            RequestParam asked = parameter.getParameterAnnotation(RequestParam.class);
            if (asked != null) {
                String name = asked.name().isEmpty() ? parameter.getParameter().getName() : asked.name();
                parameters.add(new Asked(name, parameter.getGenericParameterType()));
            }
        }
        return new Address(
                mapping.getPatternValues().iterator().next(),
                mapping.getMethodsCondition().getMethods().toString().contains("POST"),
                body,
                parameters);
    }
}
