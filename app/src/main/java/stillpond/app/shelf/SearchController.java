package stillpond.app.shelf;

import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;

@Controller
class SearchController {

    private final Search search;

    SearchController(Search search) {
        this.search = search;
    }

    @GetMapping("/search")
    String search(@RequestParam(defaultValue = "") String q, @AuthenticationPrincipal SignedIn person, Model model) {
        model.addAttribute("q", q);
        model.addAttribute("found", search.find(person.id(), q));
        model.addAttribute("most", Search.MOST);
        return "shelf/search";
    }
}
