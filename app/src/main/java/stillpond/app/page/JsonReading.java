package stillpond.app.page;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** What no message may hold, wherever it would stand: nothing in a list, and a character that no database keeps. How much of it is read is a setting. */
@Configuration
class JsonReading {

    @Bean
    JsonMapperBuilderCustomizer strict() {
        SimpleModule texts = new SimpleModule("texts").addDeserializer(String.class, new Text());
        return builder -> builder.changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL))
                .addModule(texts);
    }

    private static final class Text extends StdDeserializer<String> {

        Text() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString();
            if (text == null) {
                return (String) context.handleUnexpectedToken(getValueType(context), parser);
            }
            if (text.indexOf('\0') >= 0) {
                return (String) context.handleWeirdStringValue(String.class, text, "a text holds the character NUL");
            }
            return text;
        }
    }
}
