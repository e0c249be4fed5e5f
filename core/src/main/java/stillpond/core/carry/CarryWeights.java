package stillpond.core.carry;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Collectors;

/**
 * What is weighed when regions of two drawings are paired, as logits. The ones that ship were found by {@code ./pond bench carry fit}; where from is told at the head of the resource.
 *
 * @param overlap for a pair whose regions, laid over each other, are the same
 * @param covered for one whose second region lies under the first wholly
 * @param unlike against each unit of {@link Shape#unlike}, at the most 4
 * @param resized against each unit of the natural logarithm of another size than the pose says, at the most 2
 * @param away against each size of the larger region by which the two are apart, at the most 3
 * @param nothing for having no like at all
 * @param neighbours how much neighbours weigh against a region itself
 * @param touch for neighbours whose likes touch
 * @param same for neighbours that have one like
 * @param apart for neighbours whose likes do not touch
 * @param unknown for neighbours that have no like
 */
public record CarryWeights(
        double overlap,
        double covered,
        double unlike,
        double resized,
        double away,
        double nothing,
        double neighbours,
        double touch,
        double same,
        double apart,
        double unknown) {

    private static final String RESOURCE = "carry.weights";

    private static final class Shipped {
        private static final CarryWeights WEIGHTS = read();
    }

    /** Those that ship; read once. */
    public static CarryWeights shipped() {
        return Shipped.WEIGHTS;
    }

    private static CarryWeights read() {
        Properties read = new Properties();
        try (InputStream resource = CarryWeights.class.getResourceAsStream(RESOURCE)) {
            read.load(new InputStreamReader(resource, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Map<String, Double> named = new LinkedHashMap<>();
        read.stringPropertyNames().forEach(name -> named.put(name, Double.valueOf(read.getProperty(name))));
        return of(named);
    }

    /** @param named each by the name of its component; none is missing */
    public static CarryWeights of(Map<String, Double> named) {
        return new CarryWeights(
                named.get("overlap"),
                named.get("covered"),
                named.get("unlike"),
                named.get("resized"),
                named.get("away"),
                named.get("nothing"),
                named.get("neighbours"),
                named.get("touch"),
                named.get("same"),
                named.get("apart"),
                named.get("unknown"));
    }

    /** Each by its name, in their order. */
    public Map<String, Double> named() {
        Map<String, Double> named = new LinkedHashMap<>();
        named.put("overlap", overlap);
        named.put("covered", covered);
        named.put("unlike", unlike);
        named.put("resized", resized);
        named.put("away", away);
        named.put("nothing", nothing);
        named.put("neighbours", neighbours);
        named.put("touch", touch);
        named.put("same", same);
        named.put("apart", apart);
        named.put("unknown", unknown);
        return named;
    }

    /** As the resource has it. */
    public String text() {
        return named().entrySet().stream()
                .map(each -> String.format(Locale.ROOT, "%s = %.4f%n", each.getKey(), each.getValue()))
                .collect(Collectors.joining());
    }
}
