package stillpond.app.support;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/**
 * Values for whatever type is read from a message, as they stand in JSON.
 *
 * @param ids an id for a field of some name
 */
public record Messages(Function<String, UUID> ids) {

    /** A value that makes some sense. */
    public Object sample(Type type, String name) {
        if (type instanceof ParameterizedType generic) {
            Class<?> raw = (Class<?>) generic.getRawType();
            Type inner = generic.getActualTypeArguments()[0];
            if (Collection.class.isAssignableFrom(raw)) {
                return List.of(sample(inner, name));
            }
            return raw == Optional.class ? sample(inner, name) : Map.of();
        }
        Class<?> plain = (Class<?>) type;
        if (plain.isSealed()) {
            return fields(kinds(plain).get(0));
        }
        if (plain.isRecord()) {
            return fields(plain);
        }
        if (plain.isEnum()) {
            return plain.getEnumConstants()[0].toString();
        }
        if (plain == UUID.class) {
            return ids.apply(name).toString();
        }
        if (plain == String.class) {
            return text(name);
        }
        return plain == boolean.class || plain == Boolean.class ? (Object) true : (Object) 1;
    }

    private static String text(String name) {
        return name.contains("olour") ? "#102030" : name.equals("instead") ? "none" : "Rope";
    }

    /** The records that a message can be: itself, or those that its type permits. */
    public static List<Class<?>> kinds(Class<?> message) {
        return message.isSealed() ? List.of(message.getPermittedSubclasses()) : List.of(message);
    }

    /** How a message of several kinds says which it is: the property and its value; empty for any other. */
    private static Map<String, Object> kind(Class<?> record) {
        for (Class<?> sealed : record.getInterfaces()) {
            JsonTypeInfo info = sealed.getAnnotation(JsonTypeInfo.class);
            JsonSubTypes names = sealed.getAnnotation(JsonSubTypes.class);
            if (info != null && names != null) {
                return Arrays.stream(names.value())
                        .filter(each -> each.value() == record)
                        .findFirst()
                        .map(each -> Map.<String, Object>of(info.property(), each.name()))
                        .orElse(Map.of());
            }
        }
        return Map.of();
    }

    /** The fields of a record, all of them with values that make some sense. */
    public Map<String, Object> fields(Class<?> record) {
        Map<String, Object> fields = new LinkedHashMap<>(kind(record));
        for (RecordComponent component : record.getRecordComponents()) {
            fields.put(component.getName(), sample(component.getGenericType(), component.getName()));
        }
        return fields;
    }

    /** A record with one of its fields having each of some values, one after the other, or left out; an enumerated field also has each of its own. */
    public List<Map<String, Object>> varied(Class<?> record, Function<RecordComponent, List<Object>> values) {
        List<Map<String, Object>> all = new ArrayList<>();
        for (RecordComponent component : record.getRecordComponents()) {
            Map<String, Object> without = fields(record);
            without.remove(component.getName());
            all.add(without);
            List<Object> each = new ArrayList<>(values.apply(component));
            if (component.getType().isEnum()) {
                for (Object constant : component.getType().getEnumConstants()) {
                    each.add(constant.toString());
                    all.add(Map.of(component.getName(), constant.toString()));
                }
            }
            for (Object value : each) {
                Map<String, Object> with = fields(record);
                with.put(component.getName(), value);
                all.add(with);
            }
        }
        return all;
    }
}
