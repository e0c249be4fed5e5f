package stillpond.core.exchange;

import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import stillpond.core.colour.CssColour;
import stillpond.core.colour.Srgb;
import stillpond.core.exchange.Arrival.Problem;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Tie;
import stillpond.core.refusal.Refusal;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Cards as design tokens: the Design Tokens Format Module of the W3C Design Tokens Community Group, one group for each card. A swatch that follows another without any
 * difference is an alias; every other tie, and what the format has no place for, stands under {@code $extensions}, so that the round trip loses nothing.
 */
public final class Tokens {

    static final String EXTENSION = "org.stillpond";
    private static final int DEEPEST = 24;
    private static final int LONGEST_BYTES = 8_000_000;
    private static final Tie SAME = new Tie.Shift(0, 0, 0);
    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(4 * DEEPEST)
                            .build())
                    .build())
            .build();

    private Tokens() {}

    /** @param palette of the project that the cards belong to; ties may lead to other cards of it, which then keep their colour only */
    public static byte[] write(List<Card> cards, Palette palette) {
        Map<UUID, String> paths = paths(cards);
        ObjectNode root = JSON.createObjectNode();
        for (Card card : cards) {
            ObjectNode group = root.putObject(pathName(card.name(), root));
            if (!card.subject().isEmpty()) {
                group.put("$description", card.subject());
            }
            extension(group).put("name", card.name());
            for (Swatch swatch : card.swatches()) {
                write(swatch, group.putObject(lastOf(paths.get(swatch.id()))), paths, palette);
            }
        }
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
    }

    private static void write(Swatch swatch, ObjectNode token, Map<UUID, String> paths, Palette palette) {
        Srgb colour = palette.colourOf(swatch.id()).orElseThrow();
        token.put("$type", "color");
        ObjectNode more = JSON.createObjectNode();
        more.put("name", swatch.name());
        if (!swatch.part().isEmpty()) {
            more.put("part", swatch.part());
        }
        boolean isAlias = false;
        if (swatch.paint() instanceof Paint.Spot spot) {
            more.put("spot", spot.ink());
        } else if (swatch.paint() instanceof Paint.Tied tied && paths.containsKey(tied.source())) {
            Optional<String> other = tied.tie().other().map(paths::get);
            if (tied.tie().equals(SAME)) {
                token.put("$value", alias(paths.get(tied.source())));
                isAlias = true;
            } else if (tied.tie().other().isEmpty() || other.isPresent()) {
                ObjectNode tie = more.putObject("tie");
                tie.put("follows", alias(paths.get(tied.source())));
                other.ifPresent(path -> tie.put("with", alias(path)));
                tie.put(
                        "how",
                        tied.tie() instanceof Tie.Mix mix
                                ? "mix " + mix.share()
                                : tied.tie().text());
            }
        }
        if (!isAlias) {
            ObjectNode value = token.putObject("$value");
            value.put("colorSpace", "srgb");
            value.putArray("components")
                    .add(colour.red() / 255.0)
                    .add(colour.green() / 255.0)
                    .add(colour.blue() / 255.0);
            value.put("hex", colour.hex());
        }
        if (!swatch.note().isEmpty()) {
            token.put("$description", swatch.note());
        }
        token.putObject("$extensions").set(EXTENSION, more);
    }

    private static ObjectNode extension(ObjectNode node) {
        return node.putObject("$extensions").putObject(EXTENSION);
    }

    private static Map<UUID, String> paths(List<Card> cards) {
        Map<UUID, String> paths = new LinkedHashMap<>();
        ObjectNode groups = JSON.createObjectNode();
        for (Card card : cards) {
            String group = pathName(card.name(), groups);
            ObjectNode tokens = groups.putObject(group);
            for (Swatch swatch : card.swatches()) {
                String name = pathName(swatch.name(), tokens);
                tokens.put(name, true);
                paths.put(swatch.id(), group + "." + name);
            }
        }
        return paths;
    }

    /** A name that the format allows and its group does not have yet: no braces, no dots, no leading dollar. */
    private static String pathName(String name, ObjectNode group) {
        String allowed = name.replaceAll("[{}.]", " ").strip().replaceFirst("^\\$+", "");
        String start = allowed.isEmpty() ? "Colour" : allowed;
        String free = start;
        for (int i = 2; group.has(free); i++) {
            free = start + " " + i;
        }
        return free;
    }

    private static String lastOf(String path) {
        return path.substring(path.lastIndexOf('.') + 1);
    }

    private static String alias(String path) {
        return "{" + path + "}";
    }

    /** @throws UnreadableCards if it is no token file at all */
    public static Arrival read(byte[] file) {
        if (file.length > LONGEST_BYTES) {
            throw new UnreadableCards("This file is larger than 8 MB, more than a token file of cards is.");
        }
        JsonNode root;
        try {
            root = JSON.readTree(new String(file, StandardCharsets.UTF_8).replaceFirst("^\uFEFF", ""));
        } catch (JacksonException e) {
            throw new UnreadableCards("This is no JSON" + place(e) + ": " + e.getOriginalMessage());
        }
        if (!root.isObject()) {
            throw new UnreadableCards("A token file is a JSON object of groups and tokens; this is something else.");
        }
        return new Reading((ObjectNode) root).arrival();
    }

    private static String place(JacksonException e) {
        return e.getLocation() == null
                ? ""
                : " (line " + e.getLocation().getLineNr() + ", column "
                        + e.getLocation().getColumnNr() + ")";
    }

    /** One file being read. */
    private static final class Reading {
        private final Map<String, ObjectNode> tokens = new LinkedHashMap<>();
        private final Map<String, UUID> ids = new LinkedHashMap<>();
        private final Map<String, List<String>> pathsByGroup = new LinkedHashMap<>();
        private final Map<String, ObjectNode> groups = new LinkedHashMap<>();
        private final List<Problem> problems = new ArrayList<>();

        Reading(ObjectNode root) {
            collect(root, "", inherited(root, ""), 0);
        }

        private static String inherited(ObjectNode group, String from) {
            return group.path("$type").isString() ? group.path("$type").asString() : from;
        }

        private void collect(ObjectNode group, String path, String type, int depth) {
            if (depth > DEEPEST) {
                problems.add(new Problem(
                        path, "Groups are nested more than " + DEEPEST + " deep here; what lies deeper was left out."));
                return;
            }
            groups.put(path, group);
            for (Map.Entry<String, JsonNode> each : group.properties()) {
                String name = each.getKey();
                String here = path.isEmpty() ? name : path + "." + name;
                if (name.startsWith("$")) {
                    continue;
                }
                if (!each.getValue().isObject()) {
                    problems.add(new Problem(here, "Neither a group nor a token."));
                } else if (each.getValue().has("$value")) {
                    take(here, path, (ObjectNode) each.getValue(), type);
                } else {
                    ObjectNode inner = (ObjectNode) each.getValue();
                    collect(inner, here, inherited(inner, type), depth + 1);
                }
            }
        }

        private void take(String path, String group, ObjectNode token, String type) {
            String own = inherited(token, type);
            boolean isAlias = token.path("$value").isString()
                    && token.path("$value").asString().startsWith("{");
            if (!own.equals("color") && !(own.isEmpty() && isAlias)) {
                problems.add(new Problem(
                        path, own.isEmpty() ? "It has no type." : "A token of type '" + own + "' is no colour."));
            } else if (tokens.size() >= Arrival.MOST_SWATCHES) {
                throw new UnreadableCards("This file has more than " + Arrival.MOST_SWATCHES
                        + " colours, which no card needs. Nothing was taken over.");
            } else {
                tokens.put(path, token);
                ids.put(path, UUID.randomUUID());
                pathsByGroup.computeIfAbsent(group, any -> new ArrayList<>()).add(path);
            }
        }

        Arrival arrival() {
            Map<String, Swatch> swatches = new LinkedHashMap<>();
            tokens.forEach((path, token) -> swatch(path, token).ifPresent(swatch -> swatches.put(path, swatch)));
            dropCircles(swatches);
            List<Card> cards = new ArrayList<>();
            pathsByGroup.forEach((group, paths) -> {
                List<Swatch> own = paths.stream()
                        .filter(swatches::containsKey)
                        .map(swatches::get)
                        .toList();
                if (!own.isEmpty()) {
                    cards.add(
                            new Card(UUID.randomUUID(), cardName(group), text(groups.get(group), "$description"), own));
                }
            });
            return new Arrival(cards, problems);
        }

        private String cardName(String group) {
            String kept = groups.get(group)
                    .path("$extensions")
                    .path(EXTENSION)
                    .path("name")
                    .asString("");
            String name = kept.isBlank() ? group.replace('.', ' ') : kept;
            return name.isBlank() ? "Tokens" : cut(name);
        }

        private Optional<Swatch> swatch(String path, ObjectNode token) {
            JsonNode more = token.path("$extensions").path(EXTENSION);
            String name = more.path("name").asString("");
            return paint(path, token, more)
                    .map(paint -> new Swatch(
                            ids.get(path),
                            cut(name.isBlank() ? lastOf(path) : name),
                            cut(more.path("part").asString("")),
                            text(token, "$description"),
                            paint));
        }

        private Optional<Paint> paint(String path, ObjectNode token, JsonNode more) {
            JsonNode value = token.path("$value");
            if (value.isString() && value.asString().startsWith("{")) {
                return source(path, value.asString()).map(source -> new Paint.Tied(source, SAME));
            }
            if (more.path("tie").isObject()) {
                Optional<Paint> tied = tied(path, more.path("tie"));
                if (tied.isPresent()) {
                    return tied;
                }
            }
            Optional<Srgb> colour = colour(path, value);
            String ink = more.path("spot").asString("");
            return colour.map(each -> ink.isBlank() ? new Paint.Process(each) : new Paint.Spot(ink, each));
        }

        private Optional<Paint> tied(String path, JsonNode tie) {
            Optional<UUID> source = source(path, tie.path("follows").asString(""));
            String how = tie.path("how").asString("");
            try {
                if (how.startsWith("mix ") && tie.path("with").isString()) {
                    Optional<UUID> with = source(path, tie.path("with").asString());
                    double share = Refusal.unlessRead(
                            "'" + how + "' names no share.", () -> Double.parseDouble(how.substring(4)));
                    return source.flatMap(from -> with.map(other -> new Paint.Tied(from, new Tie.Mix(other, share))));
                }
                Tie read = Tie.ofText(how);
                return source.map(from -> new Paint.Tied(from, read));
            } catch (Refusal told) {
                problems.add(
                        new Problem(path, "Its tie cannot be read, so it keeps its colour only: " + told.getMessage()));
                return Optional.empty();
            }
        }

        private Optional<UUID> source(String path, String alias) {
            String wanted = alias.replaceAll("^\\{|\\}$", "");
            Optional<UUID> source = Optional.ofNullable(ids.get(wanted));
            if (source.isEmpty()) {
                problems.add(new Problem(path, "It follows '" + cut(wanted) + "', which is no colour of this file."));
            }
            return source;
        }

        private Optional<Srgb> colour(String path, JsonNode value) {
            if (value.isString()) {
                Optional<Srgb> hex = CssColour.ofHex(value.asString());
                if (hex.isEmpty()) {
                    problems.add(new Problem(path, "'" + cut(value.asString()) + "' is no colour."));
                }
                return hex;
            }
            String space = value.path("colorSpace").asString("");
            JsonNode components = value.path("components");
            if (!components.isArray() || components.size() != 3) {
                problems.add(new Problem(path, "A colour has three components and the name of their colour space."));
                return Optional.empty();
            }
            double[] numbers = new double[3];
            for (int i = 0; i < 3; i++) {
                JsonNode component = components.get(i);
                boolean isNone = component.isString() && component.asString().equals("none");
                if (!component.isNumber() && !isNone) {
                    problems.add(new Problem(path, "Component " + (i + 1) + " is neither a number nor 'none'."));
                    return Optional.empty();
                }
                numbers[i] = isNone ? 0 : component.asDouble();
            }
            Optional<Srgb> colour = CssColour.of(space, numbers);
            if (colour.isEmpty()) {
                problems.add(new Problem(path, "The colour space '" + cut(space) + "' is not known here."));
            }
            return colour;
        }

        /** Whatever follows itself, or follows what could not be read, is left out and told. Linear in the ties. */
        private void dropCircles(Map<String, Swatch> swatches) {
            Map<UUID, Swatch> byId = new HashMap<>();
            swatches.values().forEach(swatch -> byId.put(swatch.id(), swatch));
            Set<UUID> settled = settled(byId);
            Map<UUID, String> before = circles(byId, settled);
            swatches.entrySet().removeIf(each -> {
                UUID id = each.getValue().id();
                if (!settled.contains(id)) {
                    String reason = before.containsKey(id)
                            ? "It follows itself, by way of " + before.get(id) + "."
                            : "It follows a colour that could not be read.";
                    problems.add(new Problem(each.getKey(), reason));
                }
                return !settled.contains(id);
            });
        }

        /** Those that follow nothing, and those that follow only such (A. B. Kahn, "Topological sorting of large networks", 1962). */
        private static Set<UUID> settled(Map<UUID, Swatch> byId) {
            Map<UUID, List<UUID>> followers = new HashMap<>();
            Map<UUID, Integer> unsettled = new HashMap<>();
            Deque<UUID> next = new ArrayDeque<>();
            byId.forEach((id, swatch) -> {
                List<UUID> sources = sources(swatch);
                sources.forEach(source -> followers
                        .computeIfAbsent(source, any -> new ArrayList<>())
                        .add(id));
                unsettled.put(id, sources.size());
                if (sources.isEmpty()) {
                    next.add(id);
                }
            });
            Set<UUID> settled = new HashSet<>();
            while (!next.isEmpty()) {
                UUID id = next.remove();
                settled.add(id);
                for (UUID follower : followers.getOrDefault(id, List.of())) {
                    if (unsettled.merge(follower, -1, Integer::sum) == 0) {
                        next.add(follower);
                    }
                }
            }
            return settled;
        }

        /** Of each swatch in a circle the name of the one that closes it. Each is gone over once. */
        private static Map<UUID, String> circles(Map<UUID, Swatch> byId, Set<UUID> settled) {
            Map<UUID, String> before = new HashMap<>();
            Set<UUID> seen = new HashSet<>(settled);
            for (UUID start : byId.keySet()) {
                List<UUID> way = new ArrayList<>();
                Optional<UUID> at = Optional.of(start);
                while (at.isPresent() && seen.add(at.get())) {
                    way.add(at.get());
                    at = sources(byId.get(at.get())).stream()
                            .filter(source -> byId.containsKey(source) && !settled.contains(source))
                            .findFirst();
                }
                int from = at.map(way::indexOf).orElse(-1);
                for (int i = from; i >= 0 && i < way.size(); i++) {
                    UUID last = way.get(i == from ? way.size() - 1 : i - 1);
                    before.put(way.get(i), byId.get(last).name());
                }
            }
            return before;
        }

        private static List<UUID> sources(Swatch swatch) {
            if (!(swatch.paint() instanceof Paint.Tied tied)) {
                return List.of();
            }
            List<UUID> sources = new ArrayList<>(List.of(tied.source()));
            tied.tie().other().ifPresent(sources::add);
            return sources;
        }

        private static String text(ObjectNode node, String field) {
            String text = node.path(field).asString("");
            return text.length() > 2000 ? text.substring(0, 2000) : text;
        }

        private static String cut(String text) {
            return text.length() > 120 ? text.substring(0, 120) : text;
        }
    }
}
