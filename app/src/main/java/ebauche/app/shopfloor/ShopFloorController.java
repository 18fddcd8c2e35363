package ebauche.app.shopfloor;

import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import ebauche.app.web.Figures;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseBody;

/** The bodies in progress, each with its next step. */
@Controller
class ShopFloorController {
    private final FloorCards cards;
    private final MakerStore makers;

    ShopFloorController(FloorCards cards, MakerStore makers) {
        this.cards = cards;
        this.makers = makers;
    }

    @GetMapping("/")
    String floor(@AuthenticationPrincipal Maker maker, @ModelAttribute("fig") Figures fig, Model model) {
        model.addAttribute("floor", cards.floor(maker.shop(), fig));
        model.addAttribute("shop", makers.shopName(maker.shop()));
        return "shopfloor/floor";
    }

    /** One body's card, asked for when its place comes into sight. */
    @GetMapping(path = "/bodies/{id}/card", produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String card(@AuthenticationPrincipal Maker maker, @PathVariable String id, @ModelAttribute("fig") Figures fig) {
        return cards.card(maker.shop(), id, fig);
    }
}
