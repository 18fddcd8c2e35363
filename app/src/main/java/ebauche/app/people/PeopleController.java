package ebauche.app.people;

import ebauche.app.account.Hash;
import ebauche.app.account.InviteCode;
import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import ebauche.app.account.Passwords;
import ebauche.app.web.NotHere;
import ebauche.app.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who works in a shop: let in by a code, taken out again; and each one's own password. */
@Controller
@RequestMapping("/people")
class PeopleController {
    private final MakerStore makers;
    private final PasswordEncoder passwords;
    private final Clock clock;

    PeopleController(MakerStore makers, PasswordEncoder passwords, Clock clock) {
        this.makers = makers;
        this.passwords = passwords;
        this.clock = clock;
    }

    @GetMapping
    String people(@AuthenticationPrincipal Maker maker, Model model) {
        model.addAttribute("people", makers.people(maker.shop()));
        model.addAttribute("me", maker.id());
        model.addAttribute("opener", isOpener(maker));
        model.addAttribute("demo", maker.name().equals(Maker.DEMO));
        model.addAttribute("shop", makers.shopName(maker.shop()));
        model.addAttribute("waiting", makers.openInvitations(maker.shop(), clock.millis()));
        return "people/people";
    }

    private boolean isOpener(Maker maker) {
        return makers.people(maker.shop()).stream().anyMatch(p -> p.id() == maker.id() && p.opened());
    }

    /** A code, shown this once. */
    @PostMapping("/invite")
    String invite(@AuthenticationPrincipal Maker maker, Model model) {
        onlyOpener(maker);
        String code = InviteCode.fresh();
        makers.invite(maker, Hash.of(InviteCode.bare(code)), clock.millis() + InviteCode.HOLDS.toMillis());
        model.addAttribute("code", code);
        return people(maker, model);
    }

    @PostMapping("/out")
    String takeOut(@AuthenticationPrincipal Maker maker, @RequestParam long id) {
        onlyOpener(maker);
        if (!makers.takeOut(maker.shop(), id)) {
            throw new NotHere();
        }
        return "redirect:/people";
    }

    private void onlyOpener(Maker maker) {
        if (!isOpener(maker)) {
            throw new NotHere();
        }
    }

    @PostMapping("/password")
    String password(
            @AuthenticationPrincipal Maker maker,
            @RequestParam String now,
            @RequestParam String next,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (maker.name().equals(Maker.DEMO)) {
            throw new NotHere();
        }
        Optional<String> trouble = makers.find(maker.name())
                .filter(m -> passwords.matches(now, m.password()))
                .map(m -> Passwords.trouble(next))
                .orElseGet(() -> Optional.of(Words.say("people.not-your-password")));
        if (trouble.isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("trouble", trouble.get());
            return people(maker, model);
        }
        makers.setPassword(maker, passwords.encode(next), request.getSession().getId());
        return "redirect:/people?changed";
    }
}
