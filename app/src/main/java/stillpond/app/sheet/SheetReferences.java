package stillpond.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.core.blockin.Reference;

/** The reference picture that lies on each sheet while somebody works on it. */
@Component
@Transactional
public class SheetReferences implements EffectKind<Effect.Referenced> {

    private final ReferenceRepository references;
    private final SheetRepository sheets;
    private final History history;

    SheetReferences(ReferenceRepository references, SheetRepository sheets, History history) {
        this.references = references;
        this.sheets = sheets;
        this.history = history;
    }

    @Transactional(readOnly = true)
    public Optional<Reference> of(UUID sheet) {
        return references.findById(sheet).map(StoredReference::asReference);
    }

    /** @param reference of a picture of the same project; empty: none */
    public void set(Sheet sheet, UUID author, Optional<Reference> reference) {
        sheets.findAndLock(sheet.id()).orElseThrow();
        Effect.Referenced effect = new Effect.Referenced(sheet.id(), of(sheet.id()), reference);
        if (!effect.before().equals(reference)) {
            write(sheet.id(), reference);
            history.keep(sheet.project(), author, words(effect), List.of(effect));
        }
    }

    private static String words(Effect.Referenced effect) {
        if (effect.after().isEmpty()) {
            return "Took the reference picture away";
        }
        return effect.before().isEmpty() ? "Laid a reference picture on the sheet" : "Changed the reference picture";
    }

    @Override
    public Class<Effect.Referenced> effects() {
        return Effect.Referenced.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Referenced effect) {
        if (!of(effect.onSheet()).equals(effect.before())) {
            return Done.nothing();
        }
        write(effect.onSheet(), effect.after());
        return Done.all(effect);
    }

    private void write(UUID sheet, Optional<Reference> reference) {
        reference.ifPresentOrElse(
                laid -> references.save(new StoredReference(sheet, laid)), () -> references.deleteById(sheet));
    }
}
