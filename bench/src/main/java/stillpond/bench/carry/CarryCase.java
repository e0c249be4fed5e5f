package stillpond.bench.carry;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;

/** Two drawings of the same things, with what every place of them is of. */
record CarryCase(String name, Side from, Side to) {

    /**
     * One drawing.
     *
     * @param labels by pixel; 0 do not care
     */
    record Side(InkPlane ink, int[] labels, Openings openings, Regions regions) {

        static Side of(InkPlane ink, int[] labels) {
            Openings openings = Openings.of(ink);
            return new Side(ink, labels, openings, Regions.of(openings, Dams.at(openings.defaultReach())));
        }

        static Side of(BufferedImage line, int[] labels) {
            int[] argb = line.getRGB(0, 0, line.getWidth(), line.getHeight(), null, 0, line.getWidth());
            return of(InkFinder.find(new Picture(line.getWidth(), line.getHeight(), argb)), labels);
        }

        /** What most of each region's paper is of; -1 where that is nothing. */
        int[] byRegion() {
            int[] numbers = openings.cells().plane().numbers();
            Map<Integer, Map<Integer, Integer>> areas = new HashMap<>();
            for (int i = 0; i < numbers.length; i++) {
                if (!ink.isInk(i)) {
                    areas.computeIfAbsent(regions.of(numbers[i]), any -> new HashMap<>())
                            .merge(labels[i], 1, Integer::sum);
                }
            }
            return IntStream.range(0, regions.count())
                    .map(region -> areas.getOrDefault(region, Map.of(0, 1)).entrySet().stream()
                            .max(Map.Entry.<Integer, Integer>comparingByValue().thenComparing(Map.Entry::getKey))
                            .orElseThrow()
                            .getKey())
                    .map(label -> label == 0 ? -1 : label)
                    .toArray();
        }

        /** The paper of each region that is not "do not care", in pixels. */
        int[] paper() {
            int[] paper = new int[regions.count()];
            int[] numbers = openings.cells().plane().numbers();
            for (int i = 0; i < numbers.length; i++) {
                if (!ink.isInk(i) && labels[i] != 0) {
                    paper[regions.of(numbers[i])]++;
                }
            }
            return paper;
        }

        /** The box of all that has a label: left, top, right, bottom, ends exclusive. */
        int[] box() {
            int width = ink.widthPx();
            int[] box = {Integer.MAX_VALUE, Integer.MAX_VALUE, 0, 0};
            for (int i = 0; i < labels.length; i++) {
                if (labels[i] != 0) {
                    box[0] = Math.min(box[0], i % width);
                    box[1] = Math.min(box[1], i / width);
                    box[2] = Math.max(box[2], i % width + 1);
                    box[3] = Math.max(box[3], i / width + 1);
                }
            }
            return box;
        }

        int labelled() {
            return (int) Arrays.stream(labels).filter(label -> label != 0).count();
        }
    }
}
