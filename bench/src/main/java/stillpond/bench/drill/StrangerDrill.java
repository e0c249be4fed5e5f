package stillpond.bench.drill;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import stillpond.bench.DemoMember;
import stillpond.bench.DemoMember.Desk;
import stillpond.bench.ServedProcess;

/** The lead has a project of their own; the colourist of the demo, who is no member, tries every way in. */
final class StrangerDrill {

    private final ServedProcess pond;

    StrangerDrill(ServedProcess pond) {
        this.pond = pond;
    }

    /** @throws IllegalStateException from its making if anything was reached */
    record Figures(int tried, List<String> reached) {
        Figures {
            if (tried < 20 || !reached.isEmpty()) {
                throw new IllegalStateException("Reached: " + reached);
            }
        }

        @Override
        public String toString() {
            return tried + " ways into a project of somebody else, none of which leads anywhere";
        }
    }

    Figures run() throws Exception {
        String url = pond.url();
        DemoMember lead = new DemoMember(url, "lead");
        String theirs = lead.submit("/projects", "title=Drill")
                .headers()
                .firstValue("HX-Redirect")
                .orElseThrow();
        Matcher card = Pattern.compile(theirs + "/cards/([0-9a-f-]{36})")
                .matcher(lead.get(theirs).body());
        Matcher swatch = Pattern.compile("\"id\":\"([0-9a-f-]{36})\",\"name\"")
                .matcher(lead.get(theirs + "/palette").body());
        if (!card.find() || !swatch.find()) {
            throw new IllegalStateException("The project of the lead shows no card and no swatch.");
        }
        DemoMember stranger = new DemoMember(url, "colourist");
        String own = stranger.project();
        Desk desk = stranger.desk(stranger.sheets().get(0));
        List<String> reached = new ArrayList<>();
        int tried = 0;
        for (String path : List.of(
                "",
                "/cards",
                "/ledger",
                "/palette",
                "/live",
                "/bring",
                "/find",
                "/lights",
                "/compare",
                "/pictures",
                "/proposals",
                "/cards/" + card.group(1),
                "/cards/" + card.group(1) + "/export/TOKENS")) {
            tried++;
            note(path, stranger.get(theirs + path), reached);
        }
        note("card of theirs", stranger.get(own + "/cards/" + card.group(1)), reached);
        for (String edit : List.of(
                "{'kind':'ADD_CARD','card':'CARD','name':'Mine'}",
                "{'kind':'ADD','card':'CARD','name':'Mine','colour':'#102030'}",
                "{'kind':'CHANGE','swatch':'SWATCH','colour':'#102030'}",
                "{'kind':'MOVE','swatch':'SWATCH','card':'CARD'}",
                "{'kind':'REMOVE','swatch':'SWATCH','instead':'none'}",
                "{'kind':'ADD','name':'Mine','paint':'tied SWATCH shade 20'}")) {
            String named = edit.replace('\'', '"')
                    .replace("CARD\"", card.group(1) + '"')
                    .replace("ADD_" + card.group(1), "ADD_CARD")
                    .replace("SWATCH", swatch.group(1));
            tried++;
            note(edit, stranger.post(own + "/palette/changes", "[" + named + "]"), reached);
        }
        String smuggled = "[{\"id\":\"" + UUID.randomUUID() + "\",\"kind\":\"lay\",\"layer\":\"" + desk.layer()
                + "\",\"fills\":{\"" + swatch.group(1) + "\":[0]}}]";
        tried++;
        HttpResponse<String> laid = stranger.post(desk.address() + "/changes", smuggled);
        if (!laid.body().contains("\"refused\"")) {
            reached.add("a swatch of theirs on a sheet of one's own");
        }
        return new Figures(tried, reached);
    }

    private static void note(String way, HttpResponse<String> answer, List<String> reached) {
        if (answer.statusCode() < 400 || answer.statusCode() >= 500) {
            reached.add(way + ": " + answer.statusCode());
        }
    }
}
