package stillpond.app.support;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javax.sql.DataSource;
import org.slf4j.MDC;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How many statements each request sent to the database, by the number of the request. */
public final class CountedStatements implements BeanPostProcessor {

    @Configuration
    static class InTests {
        @Bean
        static CountedStatements countedStatements() {
            return new CountedStatements();
        }
    }

    private static final Map<String, Integer> COUNTS = new ConcurrentHashMap<>();

    /** @param request as the answer names it in {@code X-Request-Id} */
    public static int of(String request) {
        return COUNTS.getOrDefault(request, 0);
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource database && name.equals("dataSource")
                ? proxy(DataSource.class, (proxy, method, arguments) -> {
                    Object result = call(database, method, arguments);
                    return result instanceof Connection connection ? counting(connection) : result;
                })
                : bean;
    }

    private static Connection counting(Connection connection) {
        return proxy(Connection.class, (proxy, method, arguments) -> {
            String request = MDC.get("request");
            if (request != null && method.getName().equals("prepareStatement")) {
                COUNTS.merge(request, 1, Integer::sum);
            }
            return call(connection, method, arguments);
        });
    }

    private static Object call(Object target, Method method, Object[] arguments) throws Throwable {
        try {
            return method.invoke(target, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    private static <T> T proxy(Class<T> type, InvocationHandler handler) {
        return type.cast(Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, handler));
    }
}
