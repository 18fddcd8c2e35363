package ebauche.app.shopfloor;

import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.drawing.BodyThumbnail;
import ebauche.core.job.Finding;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The bodies in progress, each with its next step. */
@Controller
class ShopFloorController {
    private final Bodies bodies;
    private final BodyStore store;
    private final MakerStore makers;

    ShopFloorController(Bodies bodies, BodyStore store, MakerStore makers) {
        this.bodies = bodies;
        this.store = store;
        this.makers = makers;
    }

    /** One body on the floor. */
    public record OnFloor(Bodies.Current current, String drawing) {
        public BuildPlan plan() {
            return current.plan();
        }

        public Optional<Finding> worst() {
            return plan().findings().stream().findFirst();
        }
    }

    @GetMapping("/")
    String floor(@AuthenticationPrincipal Maker maker, Model model) {
        List<OnFloor> floor = store.all(maker.shop()).stream()
                .map(bodies::current)
                .map(c -> new OnFloor(c, BodyThumbnail.of(c.plan())))
                .toList();
        model.addAttribute("floor", floor);
        model.addAttribute("shop", makers.shopName(maker.shop()));
        return "shopfloor/floor";
    }
}
