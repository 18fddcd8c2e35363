package ebauche.app.account;

import ebauche.app.EbaucheProperties;
import ebauche.app.words.Words;
import ebauche.core.measure.LengthUnit;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
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

/** Signing in, opening a shop, and the maker's unit. */
@Controller
class AccountController {
    private static final int SHORTEST_PASSWORD = 10;
    /** What the password hash reads; a longer one would be cut off silently. */
    private static final int LONGEST_PASSWORD = 72;

    private final MakerStore makers;
    private final PasswordEncoder passwords;
    private final EbaucheProperties properties;
    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();

    AccountController(MakerStore makers, PasswordEncoder passwords, EbaucheProperties properties) {
        this.makers = makers;
        this.passwords = passwords;
        this.properties = properties;
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
        if (Names.hidesSomething(shop) || Names.hidesSomething(name)) {
            return Words.say("account-controller.a-character-does-not-show");
        }
        if (name.isEmpty() || name.length() > 60 || Names.alike(name, Maker.DEMO)) {
            return Words.say("account-controller.give-a-name-of-up-to");
        }
        if (password.length() < SHORTEST_PASSWORD
                || password.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
            return Words.say(
                    "account-controller.take-a-password-of-to-characters", SHORTEST_PASSWORD, LONGEST_PASSWORD);
        }
        return null;
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
