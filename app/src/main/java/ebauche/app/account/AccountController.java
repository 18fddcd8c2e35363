package ebauche.app.account;

import ebauche.app.EbaucheProperties;
import ebauche.app.words.Words;
import ebauche.core.measure.LengthUnit;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.view.RedirectView;

/** Signing in, opening a shop or coming into one, and the maker's unit. */
@Controller
class AccountController {
    private final MakerStore makers;
    private final PasswordEncoder passwords;
    private final EbaucheProperties properties;
    private final Clock clock;
    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();

    AccountController(MakerStore makers, PasswordEncoder passwords, EbaucheProperties properties, Clock clock) {
        this.makers = makers;
        this.passwords = passwords;
        this.properties = properties;
        this.clock = clock;
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        model.addAttribute("demo", properties.demo());
        return "account/sign-in";
    }

    @PostMapping("/new-shop")
    String newShop(
            @RequestParam String shop,
            @RequestParam String name,
            @RequestParam String password,
            @RequestParam LengthUnit unit,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        String shopName = Names.normal(shop);
        String makerName = Names.normal(name);
        String trouble = trouble(shopName, makerName, password);
        Optional<Maker> maker = Optional.empty();
        if (trouble == null) {
            try {
                maker = makers.open(shopName, makerName, passwords.encode(password), unit);
            } catch (MakerStore.NameTaken taken) {
                maker = Optional.empty();
            }
            trouble = Words.say("account-controller.already-signs-in-here-take-another", makerName);
        }
        if (maker.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("trouble", trouble);
            model.addAttribute("shop", shop);
            model.addAttribute("name", name);
            return signIn(model);
        }
        signIn(maker.get(), request, response);
        return "redirect:/";
    }

    private static String trouble(String shop, String name, String password) {
        if (shop.isEmpty() || shop.length() > 80) {
            return Words.say("account-controller.give-the-shop-a-name-of");
        }
        if (Names.hidesSomething(shop)) {
            return Words.say("account-controller.a-character-does-not-show");
        }
        return trouble(name, password);
    }

    /** What is wrong with a name and a password that somebody wants to sign in by; null if nothing. */
    private static String trouble(String name, String password) {
        if (Names.hidesSomething(name)) {
            return Words.say("account-controller.a-character-does-not-show");
        }
        if (name.isEmpty() || name.length() > 60 || Names.alike(name, Maker.DEMO)) {
            return Words.say("account-controller.give-a-name-of-up-to");
        }
        return Passwords.trouble(password).orElse(null);
    }

    @GetMapping("/join")
    String join(@RequestParam(defaultValue = "") String code, Model model) {
        model.addAttribute("code", code);
        return "account/join";
    }

    /** Somebody comes into a shop by a code of its opener's. */
    @PostMapping("/join")
    String join(
            @RequestParam String code,
            @RequestParam String name,
            @RequestParam String password,
            @RequestParam LengthUnit unit,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        String makerName = Names.normal(name);
        String trouble = trouble(makerName, password);
        if (trouble == null) {
            String hash = Hash.of(InviteCode.bare(code));
            try {
                Optional<Maker> maker = makers.join(hash, makerName, passwords.encode(password), unit, clock.millis());
                if (maker.isPresent()) {
                    signIn(maker.get(), request, response);
                    return "redirect:/";
                }
                trouble = switch (makers.code(hash, clock.millis())) {
                    case USED -> Words.say("join.code-is-used");
                    case LATE -> Words.say("join.code-is-late");
                    default -> Words.say("join.code-is-unknown");
                };
            } catch (MakerStore.NameTaken taken) {
                trouble = Words.say("account-controller.already-signs-in-here-take-another", makerName);
            } catch (MakerStore.CodeUsed used) {
                trouble = Words.say("join.code-is-used");
            }
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("trouble", trouble);
        model.addAttribute("name", name);
        return join(code, model);
    }

    private void signIn(Maker maker, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(maker, null, maker.getAuthorities()));
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
    }

    /** Changes the unit and goes back to the page it was pressed on, and never to another site. */
    @PostMapping("/unit")
    RedirectView unit(@AuthenticationPrincipal Maker maker, @RequestParam LengthUnit unit, @RequestParam String back) {
        makers.setUnit(maker, unit);
        boolean ours =
                back.startsWith("/") && !back.startsWith("//") && back.chars().noneMatch(c -> c == '\\' || c < ' ');
        RedirectView there = new RedirectView(ours ? back : "/", true);
        // The address is one as it stands: braces in it name nothing of ours.
        there.setExpandUriTemplateVariables(false);
        there.setExposeModelAttributes(false);
        return there;
    }
}
