package stillpond.app.compare;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.Sheet;
import stillpond.core.ledger.ConsistencySheet;
import stillpond.core.ledger.PartsTable;
import stillpond.core.refusal.Refusal;

/** What is signed before a book is printed: what stands out, what of that was accepted, and by whom it was signed. */
@Service
@Transactional
class Consistency {

    private static final int LONGEST_WHY = 300;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    private final Comparing comparing;
    private final AcceptedPartRepository accepted;
    private final SignatureRepository signatures;
    private final Projects projects;
    private final Accounts accounts;
    private final Clock clock;

    Consistency(
            Comparing comparing,
            AcceptedPartRepository accepted,
            SignatureRepository signatures,
            Projects projects,
            Accounts accounts,
            Clock clock) {
        this.comparing = comparing;
        this.accepted = accepted;
        this.signatures = signatures;
        this.projects = projects;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** @param sheets in the order of the table's columns */
    record Shown(ConsistencySheet table, List<Sheet> sheets, Optional<Signed> signed) {}

    /** @param holds whether everything is as it was then */
    record Signed(String who, String on, boolean holds) {}

    /** @param card whose parts; empty: of all @throws NoSuchElementException if the project has no such card */
    @Transactional(readOnly = true)
    public Shown of(UUID project, Optional<UUID> card) {
        card.ifPresent(each -> comparing.requireCard(project, each));
        Comparing.Filter filter = new Comparing.Filter(card, Optional.empty(), "", false);
        List<Sheet> sheets = comparing.sheets(project, filter);
        Comparing.Compared compared = comparing.compared(project, sheets, filter);
        ConsistencySheet table = ConsistencySheet.of(
                compared.table(),
                compared.columns(),
                sheets.stream().map(Sheet::title).toList(),
                acceptances(sheets));
        return new Shown(
                table,
                sheets,
                signatures
                        .findFirstByProjectIdAndCardIdOrderBySignedAtDesc(project, card.orElse(null))
                        .map(signature -> new Signed(
                                name(signature.signedBy()),
                                day(signature.signedAt()),
                                signature.content().equals(hash(table)))));
    }

    private Map<ConsistencySheet.Key, ConsistencySheet.Acceptance> acceptances(List<Sheet> sheets) {
        List<AcceptedPart> all =
                accepted.findByKeySheetIdIn(sheets.stream().map(Sheet::id).toList());
        Map<UUID, String> names =
                accounts.names(all.stream().map(AcceptedPart::acceptedBy).collect(Collectors.toSet()));
        Map<ConsistencySheet.Key, ConsistencySheet.Acceptance> acceptances = new HashMap<>();
        all.forEach(each -> acceptances.put(
                each.key(),
                new ConsistencySheet.Acceptance(
                        names.getOrDefault(each.acceptedBy(), "somebody"), day(each.acceptedAt()), each.why())));
        return acceptances;
    }

    private String name(UUID person) {
        return accounts.names(Set.of(person)).getOrDefault(person, "somebody");
    }

    private static String day(Instant moment) {
        return DAY.format(moment.atOffset(ZoneOffset.UTC));
    }

    private static String hash(ConsistencySheet table) {
        try {
            byte[] text = table.signed().getBytes(StandardCharsets.UTF_8);
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(text));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * Accepts something that stands out as meant.
     *
     * @throws Refusal if the reason is too long
     * @throws NoSuchElementException if the project has no such sheet, or no such swatch
     */
    void accept(UUID project, UUID person, ConsistencySheet.Key key, String why) {
        if (why.length() > LONGEST_WHY) {
            throw new Refusal("Why something is meant is told in up to " + LONGEST_WHY + " letters.");
        }
        comparing.requirePart(project, key.sheet(), key.swatch());
        accepted.save(new AcceptedPart(stored(key), person, clock.instant(), why.strip()));
    }

    /** Takes an acceptance back. */
    void doubt(UUID project, ConsistencySheet.Key key) {
        comparing.requirePart(project, key.sheet(), key.swatch());
        accepted.deleteById(stored(key));
    }

    private static AcceptedPart.Key stored(ConsistencySheet.Key key) {
        if (key.mark() == PartsTable.Mark.NOTHING) {
            throw new Refusal("Nothing stands out there.");
        }
        return new AcceptedPart.Key(key.sheet(), key.swatch(), key.mark());
    }

    /** @throws Refusal if something stands out that nobody has accepted, or the person may not sign */
    void sign(UUID project, UUID person, Optional<UUID> card) {
        projects.require(project, person, Right.SIGN_CONSISTENCY);
        Shown shown = of(project, card);
        long open = shown.table().open();
        if (open > 0) {
            throw new Refusal((open == 1 ? "One thing stands out" : open + " things stand out")
                    + " still. Mend or accept what stands out; then this can be signed.");
        }
        if (shown.sheets().isEmpty()) {
            throw new Refusal("There is no sheet yet, so there is nothing to sign.");
        }
        signatures.save(new Signature(project, card.orElse(null), person, clock.instant(), hash(shown.table())));
    }
}
