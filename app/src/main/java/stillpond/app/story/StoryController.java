package stillpond.app.story;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;
import stillpond.app.page.Downloads;
import stillpond.app.project.Members;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.Sheets;
import stillpond.core.exchange.CardCsv;

/** The story of a project, as a page and as a table. */
@Controller
@RequestMapping("/projects/{project}/story")
class StoryController {

    private static final int PAGE = 100;
    private static final int MOST_IN_TABLE = 20_000;
    private static final int LONGEST_DAYS = 36_500;

    private final Story story;
    private final Projects projects;
    private final Members members;
    private final Accounts accounts;
    private final Sheets sheets;

    StoryController(Story story, Projects projects, Members members, Accounts accounts, Sheets sheets) {
        this.story = story;
        this.projects = projects;
        this.members = members;
        this.accounts = accounts;
        this.sheets = sheets;
    }

    /** @param each whether every step is told, or each day @param from how many steps are passed over @param day the latest that is told, if days are; left out for today */
    @GetMapping
    String page(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> person,
            @RequestParam Optional<UUID> sheet,
            @RequestParam Optional<Story.What> what,
            @RequestParam(defaultValue = "30") int days,
            @RequestParam(defaultValue = "false") boolean each,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam Optional<LocalDate> day,
            @AuthenticationPrincipal SignedIn reader,
            Model model) {
        Story.Filter filter = filter(project, person, sheet, what, days, reader);
        int first = Math.max(0, from);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("filter", filter);
        model.addAttribute("each", each);
        model.addAttribute("from", first);
        model.addAttribute("size", PAGE);
        model.addAttribute("whats", Story.What.values());
        model.addAttribute("people", people(project));
        model.addAttribute("sheets", sheets.inReadingOrder(project));
        if (each) {
            // One more than is shown tells whether there are more.
            List<Story.Step> rows = story.steps(project, filter, first, PAGE + 1);
            model.addAttribute("rows", rows.subList(0, Math.min(PAGE, rows.size())));
            model.addAttribute("isMore", rows.size() > PAGE);
        } else {
            Story.Days told = story.days(project, filter, day, PAGE);
            model.addAttribute("rows", told.days());
            model.addAttribute("isLatest", day.isEmpty());
            model.addAttribute("earlier", told.earlier().orElse(null));
        }
        return "story/story";
    }

    /** Every step, latest first, RFC 4180. */
    @GetMapping("/steps.csv")
    ResponseEntity<byte[]> csv(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> person,
            @RequestParam Optional<UUID> sheet,
            @RequestParam Optional<Story.What> what,
            @RequestParam(defaultValue = "30") int days,
            @AuthenticationPrincipal SignedIn reader) {
        Story.Filter filter = filter(project, person, sheet, what, days, reader);
        return Downloads.file(projects.get(project).title() + ", story", ".csv", new MediaType("text", "csv"))
                .body(table(story.steps(project, filter, 0, MOST_IN_TABLE)));
    }

    private Story.Filter filter(
            UUID project,
            Optional<UUID> person,
            Optional<UUID> sheet,
            Optional<Story.What> what,
            int days,
            SignedIn reader) {
        boolean isLead = projects.may(project, reader.id(), Right.MANAGE_MEMBERS);
        return new Story.Filter(person, sheet, what, Math.max(0, Math.min(LONGEST_DAYS, days)), isLead);
    }

    private Map<UUID, String> people(UUID project) {
        return accounts.names(
                members.of(project).stream().map(Members.Place::account).toList());
    }

    private static byte[] table(List<Story.Step> steps) {
        StringBuilder out = new StringBuilder("\uFEFF");
        try (CSVPrinter printer = new CSVPrinter(
                out,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader("at (UTC)", "who", "sheet", "what", "in words", "why", "cells filled")
                        .get())) {
            for (Story.Step step : steps) {
                printer.printRecord(
                        step.at(),
                        CardCsv.safe(step.who()),
                        CardCsv.safe(step.sheet()),
                        step.what().words(),
                        CardCsv.safe(step.words()),
                        CardCsv.safe(step.why()),
                        step.cells());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }
}
