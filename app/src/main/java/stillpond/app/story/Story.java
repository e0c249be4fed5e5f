package stillpond.app.story;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who did what in a project, read from the log of changes, the remarks, what was handed on, and the audit log. */
@Service
@Transactional(readOnly = true)
class Story {

    /**
     * How a change, an answer and so on become rows of one kind; native, since a page of them is asked for at once. Of changes, of which a studio makes hundreds of thousands, no more are looked at than
     * are told, and all sheets of the last of them.
     */
    private static final String TOLD = """
            with told as (
                (select c.made_at as at, c.author_id as account, of_sheet.sheet, coalesce(of_sheet.what, 'SHEETS') as what,
                       c.words, c.reason as why, coalesce(of_sheet.cells, 0) as cells
                from change c left join lateral (
                    select e.sheet_id as sheet,
                           case
                               when bool_or(e.kind = 'RECUT') then 'CUTS'
                               when bool_or(e.kind in ('FILLED', 'DAMMED', 'SHADED', 'GROUPED')) then 'FILLS'
                               when bool_or(e.kind in ('CARDS', 'STAGED', 'CAST')) then 'CARDS'
                               else 'SHEETS'
                           end as what,
                           sum(case when e.kind = 'FILLED' then cardinality(e.cells) else 0 end) as cells
                    from effect e where e.change_id = c.id group by e.sheet_id) of_sheet on true
                where c.project_id = :project and c.made_at >= :since and c.made_at < :until
                  and (cast(:person as uuid) is null or c.author_id = cast(:person as uuid))
                  and (cast(:sheet as uuid) is null or of_sheet.sheet = cast(:sheet as uuid))
                  and (:what = '' or coalesce(of_sheet.what, 'SHEETS') = :what)
                order by c.made_at desc fetch first (cast(:reach as bigint)) rows with ties)
                union all
                select made_at, author_id, sheet_id, 'REMARKS', 'Said: ' || body, '', 0
                from remark where project_id = :project
                union all
                select a.made_at, a.author_id, r.sheet_id, 'REMARKS', 'Answered: ' || a.body, '', 0
                from remark_answer a join remark r on r.id = a.remark_id
                where r.project_id = :project
                union all
                select done_at, done_by, sheet_id, 'REMARKS', 'Done: ' || body, '', 0
                from remark where project_id = :project
                union all
                select made_at, author_id, sheet_id, 'HANDED_ON', 'Handed on ' || words, '', 0
                from handed_note where project_id = :project
                union all
                select at, account_id, null, 'MEMBERS', words, '', 0
                from audit where project_id = :project and :isLead
            ), named as (
                select told.*, coalesce(account.display_name, '') as who, coalesce(sheet.title, '') as title
                from told left join account on account.id = told.account left join sheet on sheet.id = told.sheet
                where told.at >= :since and told.at < :until
                  and (cast(:person as uuid) is null or told.account = cast(:person as uuid))
                  and (cast(:sheet as uuid) is null or told.sheet = cast(:sheet as uuid))
                  and (:what = '' or told.what = :what)
            )""";

    /** The last moment before another at which anything was done. */
    private static final String LAST = """
            select greatest(
                (select max(made_at) from change where project_id = :project and made_at < :until),
                (select max(made_at) from remark where project_id = :project and made_at < :until),
                (select max(a.made_at) from remark_answer a join remark r on r.id = a.remark_id
                    where r.project_id = :project and a.made_at < :until),
                (select max(done_at) from remark where project_id = :project and done_at < :until),
                (select max(made_at) from handed_note where project_id = :project and made_at < :until),
                (select max(at) from audit where project_id = :project and at < :until))""";

    /** More changes than any day has. */
    private static final int ALL = Integer.MAX_VALUE;

    /** Later than anything. */
    private static final Instant NEVER = Instant.parse("9999-01-01T00:00:00Z");

    private final JdbcClient database;
    private final Clock clock;

    Story(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** What can be told. */
    enum What {
        FILLS("fills and dams"),
        CARDS("cards, lights and clothes"),
        CUTS("line art cut anew"),
        SHEETS("layers and pages"),
        REMARKS("remarks"),
        HANDED_ON("handed on"),
        MEMBERS("members");

        private final String words;

        What(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Which part is told.
     *
     * @param days back from now; 0 for all of it
     * @param isLead whether it is told to a lead, who also reads of members
     */
    record Filter(Optional<UUID> person, Optional<UUID> sheet, Optional<What> what, int days, boolean isLead) {}

    /** @param sheet its title, or empty @param why in the author's words, or empty @param cells how many were filled */
    record Step(Instant at, String who, String sheet, What what, String words, String why, long cells) {}

    /** What somebody did on a day to a sheet. @param sheet its title, or empty @param steps how many @param cells how many were filled */
    record Day(LocalDate day, String who, String sheet, What what, long steps, long cells) {}

    /** Latest first. */
    List<Step> steps(UUID project, Filter filter, int from, int most) {
        return asked(project, filter, since(filter), NEVER, TOLD + """

                        select at, who, title, what, words, why, cells from named
                        order by at desc, words, title offset :from limit :most""")
                .param("reach", from + most)
                .param("from", from)
                .param("most", most)
                .query((row, number) -> new Step(
                        row.getTimestamp("at").toInstant(),
                        row.getString("who"),
                        row.getString("title"),
                        What.valueOf(row.getString("what")),
                        row.getString("words"),
                        row.getString("why"),
                        row.getLong("cells")))
                .list();
    }

    /** Some days as wholes. @param earlier the last day before them on which anything was done; empty if there is none in the time that was asked for */
    record Days(List<Day> days, Optional<LocalDate> earlier) {}

    /**
     * Latest first; days are those of UTC. One day is counted after the other, so that what was done long ago costs nothing until it is asked for.
     *
     * @param from the latest day; empty for today
     * @param enough how many rows are, after whole days
     */
    Days days(UUID project, Filter filter, Optional<LocalDate> from, int enough) {
        Instant since = since(filter);
        List<Day> told = new ArrayList<>();
        Optional<LocalDate> next =
                lastDay(project, since, from.map(day -> start(day.plusDays(1))).orElse(NEVER));
        while (next.isPresent() && told.size() < enough) {
            told.addAll(day(project, filter, next.get()));
            next = lastDay(project, since, start(next.get()));
        }
        return new Days(told, next);
    }

    private Optional<LocalDate> lastDay(UUID project, Instant since, Instant until) {
        return database.sql(LAST)
                .param("project", project)
                .param("until", until.atOffset(ZoneOffset.UTC))
                .query((row, number) -> Optional.ofNullable(row.getTimestamp(1)).map(Timestamp::toInstant))
                .single()
                .filter(last -> !last.isBefore(since))
                .map(last -> LocalDate.ofInstant(last, ZoneOffset.UTC));
    }

    private List<Day> day(UUID project, Filter filter, LocalDate day) {
        Instant since = since(filter);
        Instant start = start(day);
        return asked(project, filter, start.isBefore(since) ? since : start, start(day.plusDays(1)), TOLD + """

                        select who, title, what, count(*) as steps, sum(cells) as cells
                        from named group by who, title, what order by who, title, what""")
                .param("reach", ALL)
                .query((row, number) -> new Day(
                        day,
                        row.getString("who"),
                        row.getString("title"),
                        What.valueOf(row.getString("what")),
                        row.getLong("steps"),
                        row.getLong("cells")))
                .list();
    }

    private static Instant start(LocalDate day) {
        return day.atStartOfDay(ZoneOffset.UTC).toInstant();
    }

    /** Who changed what a cell wears last. @param at when */
    record LastChange(String who, Instant at) {}

    /** Empty if nobody has since the sheet was cut as it is. @param layer the cutting that the cell is of */
    Optional<LastChange> lastChange(UUID sheet, UUID layer, int cell) {
        return database.sql("""
                        select account.display_name, c.made_at
                        from effect e join change c on c.id = e.change_id join account on account.id = c.author_id
                        where e.sheet_id = :sheet and e.layer_id = :layer and e.kind = 'FILLED' and :cell = any(e.cells)
                        order by c.number desc limit 1""")
                .param("sheet", sheet)
                .param("layer", layer)
                .param("cell", cell)
                .query((row, number) ->
                        new LastChange(row.getString(1), row.getTimestamp(2).toInstant()))
                .optional();
    }

    private Instant since(Filter filter) {
        return filter.days() == 0 ? Instant.EPOCH : clock.instant().minus(Duration.ofDays(filter.days()));
    }

    private JdbcClient.StatementSpec asked(UUID project, Filter filter, Instant since, Instant until, String query) {
        return database.sql(query)
                .param("project", project)
                .param("since", since.atOffset(ZoneOffset.UTC))
                .param("until", until.atOffset(ZoneOffset.UTC))
                .param("person", filter.person().map(UUID::toString).orElse(null))
                .param("sheet", filter.sheet().map(UUID::toString).orElse(null))
                .param("what", filter.what().map(What::name).orElse(""))
                .param("isLead", filter.isLead());
    }
}
