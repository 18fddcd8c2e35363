package ebauche.app.shopfloor;

import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

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
    String floor(@AuthenticationPrincipal Maker maker, Model model) {
        model.addAttribute("floor", cards.floor(maker.shop()));
        model.addAttribute("shop", makers.shopName(maker.shop()));
        return "shopfloor/floor";
    }

    /** One body's card, asked for when its place comes into sight. */
    @GetMapping("/bodies/{id}/card")
    String card(@AuthenticationPrincipal Maker maker, @PathVariable String id, Model model) {
        model.addAttribute("card", cards.card(maker.shop(), id));
        return "shopfloor/card";
    }
}
