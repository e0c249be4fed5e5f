package stillpond.app.mail;

import java.util.NoSuchElementException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What the stand-in for a mail server was given; there is no such page where letters really leave. */
@Controller
class LettersController {

    private final Letters letters;

    LettersController(Letters letters) {
        this.letters = letters;
    }

    @GetMapping("/letters")
    String all(Model model) {
        if (!(letters instanceof KeptLetters kept)) {
            throw new NoSuchElementException();
        }
        model.addAttribute("letters", kept.all());
        return "mail/letters";
    }
}
