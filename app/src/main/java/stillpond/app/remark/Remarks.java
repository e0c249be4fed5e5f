package stillpond.app.remark;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.app.history.Happened;
import stillpond.app.history.Part;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.CutAnew;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** What people say about places of sheets and about swatches: it is answered, done, and opened again. */
@Service
@Transactional
public class Remarks {

    static final int LONGEST = 1000;
    private static final int MOST = 2000;
    private static final int MOST_ANSWERS = 100;

    private final RemarkRepository remarks;
    private final AnswerRepository answers;
    private final Projects projects;
    private final Sheets sheets;
    private final Palettes palettes;
    private final Accounts accounts;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Remarks(
            RemarkRepository remarks,
            AnswerRepository answers,
            Projects projects,
            Sheets sheets,
            Palettes palettes,
            Accounts accounts,
            ApplicationEventPublisher events,
            Clock clock) {
        this.remarks = remarks;
        this.answers = answers;
        this.projects = projects;
        this.sheets = sheets;
        this.palettes = palettes;
        this.accounts = accounts;
        this.events = events;
        this.clock = clock;
    }

    /** A place on the page of a sheet, in its pixels. @param standing the layer that is meant, see {@link stillpond.app.sheet.Layer#standing} */
    public record Place(UUID sheet, UUID standing, int xPx, int yPx) {}

    /** @param author the name under which they are shown */
    public record Answer(String author, Instant madeAt, String body) {}

    /**
     * A remark.
     *
     * @param place empty if it is about a swatch
     * @param swatch empty if it is about a place
     * @param author the name under which they are shown
     * @param doneBy likewise; empty while it is open
     */
    public record Remark(
            UUID id,
            Optional<Place> place,
            Optional<UUID> swatch,
            String author,
            Instant madeAt,
            String body,
            Optional<String> doneBy,
            List<Answer> answers) {

        public boolean isOpen() {
            return doneBy.isEmpty();
        }
    }

    /** Of a whole project, oldest first. */
    @Transactional(readOnly = true)
    public List<Remark> inProject(UUID project) {
        return shown(remarks.findByProjectIdOrderByMadeAt(project));
    }

    /** Of one sheet, oldest first. */
    @Transactional(readOnly = true)
    public List<Remark> onSheet(UUID project, UUID sheet) {
        sheets.require(project, sheet);
        return shown(remarks.findBySheetIdOrderByMadeAt(sheet));
    }

    /** How many are open on a sheet. */
    @Transactional(readOnly = true)
    public long openOn(UUID sheet) {
        return remarks.countBySheetIdAndDoneAtIsNull(sheet);
    }

    /** @throws Refusal if nothing is said, too much, or the place is not on the page */
    public UUID pin(UUID project, Place place, UUID author, String body) {
        Sheet sheet = sheets.get(project, place.sheet(), Optional.of(place.standing()));
        if (place.xPx() < 0 || place.yPx() < 0 || place.xPx() >= sheet.widthPx() || place.yPx() >= sheet.heightPx()) {
            throw new Refusal("This place is not on the sheet. Nothing was kept.");
        }
        return keep(StoredRemark.atPlace(project, place, author, clock.instant(), said(project, author, body)));
    }

    /** @throws Refusal likewise, or if the project has no such swatch */
    public UUID pinToSwatch(UUID project, UUID swatch, UUID author, String body) {
        if (palettes.of(project).cardOf(swatch).isEmpty()) {
            throw new Refusal("This swatch is on no card any more. Nothing was kept.");
        }
        return keep(StoredRemark.ofSwatch(project, swatch, author, clock.instant(), said(project, author, body)));
    }

    private UUID keep(StoredRemark remark) {
        remarks.save(remark);
        tell(remark);
        return remark.id();
    }

    private String said(UUID project, UUID author, String body) {
        projects.require(project, author, Right.REMARK);
        if (remarks.countByProjectId(project) >= MOST) {
            throw new Refusal("A project has up to " + MOST + " remarks. Nothing was kept.");
        }
        return text(body);
    }

    private static String text(String body) {
        String text = body.strip();
        if (text.isEmpty()) {
            throw new Refusal("Say something first.");
        }
        if (text.length() > LONGEST) {
            throw new Refusal("A remark has up to " + LONGEST + " characters. Nothing was kept.");
        }
        return text;
    }

    public void answer(UUID project, UUID remark, UUID author, String body) {
        projects.require(project, author, Right.REMARK);
        StoredRemark about = stored(project, remark);
        if (answers.countByRemarkId(remark) >= MOST_ANSWERS) {
            throw new Refusal("A remark has up to " + MOST_ANSWERS + " answers. Make another remark.");
        }
        answers.save(new StoredAnswer(remark, author, clock.instant(), text(body)));
        tell(about);
    }

    public void finish(UUID project, UUID remark, UUID by) {
        projects.require(project, by, Right.REMARK);
        StoredRemark about = stored(project, remark);
        about.finish(by, clock.instant());
        tell(about);
    }

    public void openAgain(UUID project, UUID remark, UUID by) {
        projects.require(project, by, Right.REMARK);
        StoredRemark about = stored(project, remark);
        about.openAgain();
        tell(about);
    }

    /** Remarks stay where what they are about is drawn. */
    @EventListener
    void move(CutAnew cut) {
        remarks.findByStandingId(cut.standing()).forEach(remark -> remark.move(cut.placing()));
    }

    private StoredRemark stored(UUID project, UUID remark) {
        return remarks.findByIdAndProjectId(remark, project).orElseThrow();
    }

    private void tell(StoredRemark remark) {
        remark.place()
                .ifPresent(place -> events.publishEvent(new Happened(
                        sheets.wherever(place.sheet()).project(),
                        Optional.of(place.sheet()),
                        Part.REMARKS,
                        Optional.empty(),
                        Optional.empty())));
    }

    private List<Remark> shown(List<StoredRemark> stored) {
        Map<UUID, List<StoredAnswer>> answered =
                answers
                        .findByRemarkIdInOrderByMadeAt(
                                stored.stream().map(StoredRemark::id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(StoredAnswer::remarkId));
        Map<UUID, String> names = names(stored, answered.values());
        return stored.stream()
                .map(each -> new Remark(
                        each.id(),
                        each.place(),
                        each.swatch(),
                        names.get(each.authorId()),
                        each.madeAt(),
                        each.body(),
                        each.doneBy().map(names::get),
                        answered.getOrDefault(each.id(), List.of()).stream()
                                .map(answer -> new Answer(names.get(answer.authorId()), answer.madeAt(), answer.body()))
                                .toList()))
                .toList();
    }

    private Map<UUID, String> names(List<StoredRemark> stored, Collection<List<StoredAnswer>> answered) {
        Set<UUID> people = new HashSet<>();
        stored.forEach(each -> {
            people.add(each.authorId());
            each.doneBy().ifPresent(people::add);
        });
        answered.stream().flatMap(List::stream).map(StoredAnswer::authorId).forEach(people::add);
        return accounts.names(people);
    }
}
