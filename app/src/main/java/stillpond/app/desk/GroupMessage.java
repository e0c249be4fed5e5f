package stillpond.app.desk;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;

/** What is done to groups. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "act")
@JsonSubTypes({
    @JsonSubTypes.Type(name = "MAKE", value = GroupMessage.Make.class),
    @JsonSubTypes.Type(name = "FOR_EACH_COLOUR", value = GroupMessage.ForEachColour.class),
    @JsonSubTypes.Type(name = "RENAME", value = GroupMessage.Rename.class),
    @JsonSubTypes.Type(name = "HIDE", value = GroupMessage.Hide.class),
    @JsonSubTypes.Type(name = "LOCK", value = GroupMessage.Lock.class),
    @JsonSubTypes.Type(name = "MOVE", value = GroupMessage.Move.class),
    @JsonSubTypes.Type(name = "REMOVE", value = GroupMessage.Remove.class)
})
sealed interface GroupMessage {

    /** What is done, for the history. */
    String words();

    record Make(String name, @NotNull List<@NotNull Integer> cells) implements GroupMessage {
        @Override
        public String words() {
            return "Made the group " + name;
        }
    }

    /** One for each colour that is in none yet. */
    record ForEachColour() implements GroupMessage {
        @Override
        public String words() {
            return "Made a group for each colour";
        }
    }

    record Rename(@NotNull UUID group, String name) implements GroupMessage {
        @Override
        public String words() {
            return "Renamed a group " + name;
        }
    }

    record Hide(@NotNull UUID group, boolean hides) implements GroupMessage {
        @Override
        public String words() {
            return hides ? "Hid a group" : "Showed a group";
        }
    }

    record Lock(@NotNull UUID group, boolean locks) implements GroupMessage {
        @Override
        public String words() {
            return locks ? "Locked a group" : "Unlocked a group";
        }
    }

    /** @param by so many places towards the back */
    record Move(@NotNull UUID group, int by) implements GroupMessage {
        @Override
        public String words() {
            return "Moved a group";
        }
    }

    record Remove(@NotNull UUID group) implements GroupMessage {
        @Override
        public String words() {
            return "Took a group apart";
        }
    }
}
