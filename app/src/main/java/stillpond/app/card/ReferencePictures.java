package stillpond.app.card;

import jakarta.validation.constraints.NotNull;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.reading.PictureFiles;
import stillpond.app.sheet.FileTitle;
import stillpond.app.sheet.Planes;
import stillpond.core.blockin.BigShapes;
import stillpond.core.blockin.Reference;
import stillpond.core.colour.ColourNames;
import stillpond.core.colour.PictureColours;
import stillpond.core.colour.Srgb;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.PngWriter;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** Reference pictures of a project and the colours in them. */
@Service
@Transactional
public class ReferencePictures {

    private static final int MOST_MAIN_COLOURS = 16;
    private static final int MOST_SAMPLES = 200;

    private final ReferencePictureRepository pictures;
    private final Planes planes;
    private final PictureFiles pictureFiles;
    private final ImageLimits limits;
    private final JsonMapper json;
    private final Clock clock;
    /** Samples are taken one after the other from the same picture. */
    private volatile Decoded latest = new Decoded("", null);

    private record Decoded(String content, Picture picture) {}

    ReferencePictures(
            ReferencePictureRepository pictures,
            Planes planes,
            PictureFiles pictureFiles,
            ImageLimits limits,
            JsonMapper json,
            Clock clock) {
        this.pictures = pictures;
        this.planes = planes;
        this.pictureFiles = pictureFiles;
        this.limits = limits;
        this.json = json;
        this.clock = clock;
    }

    /**
     * A place in a picture and the colour there.
     *
     * @param radiusPx 0 for a single pixel
     */
    public record Sample(
            int x, int y, int radiusPx, @NotNull String colour) {}

    /** A main colour of a picture. @param share of its area, 0 to 1 */
    public record Main(String colour, String name, int x, int y, double share) {}

    /** @throws UnreadableFile with a message for the user; nothing is kept then */
    @Transactional(propagation = Propagation.SUPPORTS)
    public ReferencePicture bring(UUID project, String fileName, byte[] file) {
        return pictureFiles.with(file, limits, read -> keep(project, fileName, read.picture()));
    }

    private ReferencePicture keep(UUID project, String fileName, Picture picture) {
        if (Arrays.stream(picture.argb()).noneMatch(pixel -> pixel >>> 24 >= 128)) {
            throw new UnreadableFile("This picture has no opaque pixel, so there is no colour in it.");
        }
        String content = planes.keep(png(picture));
        return pictures.save(new ReferencePicture(
                project, FileTitle.of(fileName), picture.widthPx(), picture.heightPx(), content, clock.instant()));
    }

    private static byte[] png(Picture picture) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PngWriter.write(picture, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Transactional(readOnly = true)
    public List<ReferencePicture> of(UUID project) {
        return pictures.findByProjectIdOrderByMadeAt(project);
    }

    /** @throws java.util.NoSuchElementException if the project has no such picture */
    @Transactional(readOnly = true)
    public ReferencePicture get(UUID project, UUID picture) {
        return pictures.findByIdAndProjectId(picture, project).orElseThrow();
    }

    @Transactional(readOnly = true)
    public byte[] content(UUID project, UUID picture) {
        return planes.content(get(project, picture).content());
    }

    /** @throws java.util.NoSuchElementException if the project has no such picture */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Picture picture(UUID project, UUID id) {
        return decoded(get(project, id));
    }

    /** The mean of a disc in linear light; empty if nothing opaque lies in it. */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Optional<Srgb> mean(UUID project, UUID id, int x, int y, int radiusPx) {
        Picture picture = decoded(get(project, id));
        if (x < 0 || y < 0 || x >= picture.widthPx() || y >= picture.heightPx() || radiusPx < 0 || radiusPx > 500) {
            throw new Refusal("This place is beside the picture.");
        }
        return PictureColours.mean(picture.argb(), picture.widthPx(), x, y, radiusPx);
    }

    @Transactional(propagation = Propagation.SUPPORTS)
    public List<Main> main(UUID project, UUID id, int most) {
        Picture picture = decoded(get(project, id));
        int count = Math.min(MOST_MAIN_COLOURS, Math.max(1, most));
        return PictureColours.main(picture.argb(), picture.widthPx(), count).stream()
                .map(found -> new Main(
                        found.colour().hex(), ColourNames.suggest(found.colour()), found.x(), found.y(), found.share()))
                .toList();
    }

    /** The few big shapes of a picture as it lies on a sheet, largest first. @param detail 0 to 1 */
    @Transactional(propagation = Propagation.SUPPORTS)
    public List<BigShapes.Suggested> bigShapes(UUID project, Reference laid, int count, double detail) {
        Picture picture = decoded(get(project, laid.picture()));
        return BigShapes.onSheet(BigShapes.of(picture, count, detail), laid, picture.widthPx(), picture.heightPx());
    }

    void keep(UUID project, UUID picture, List<Sample> samples) {
        if (samples.size() > MOST_SAMPLES) {
            throw new Refusal("A picture keeps up to " + MOST_SAMPLES + " samples.");
        }
        get(project, picture).keep(json.writeValueAsString(samples));
    }

    private Picture decoded(ReferencePicture picture) {
        Decoded known = latest;
        if (!known.content().equals(picture.content())) {
            known = new Decoded(
                    picture.content(),
                    pictureFiles.with(planes.content(picture.content()), limits, PictureFiles.Read::picture));
            latest = known;
        }
        return known.picture();
    }
}
