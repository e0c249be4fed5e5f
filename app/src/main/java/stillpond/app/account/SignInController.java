package stillpond.app.account;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.settings.PondSettings;

@Controller
class SignInController {

    private final boolean demo;

    SignInController(PondSettings settings) {
        this.demo = settings.demo();
    }

    @GetMapping("/sign-in")
    String signIn(@RequestParam Optional<Long> wait, Model model) {
        model.addAttribute("demo", demo);
        model.addAttribute("wait", wait.orElse(null));
        return "account/sign-in";
    }
}
