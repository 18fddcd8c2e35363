package ebauche.app.blank;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import java.util.ArrayList;
import java.util.List;

/** A top sawn to the edges of the core it is glued to: its outer strips become narrower or stay as they are. */
final class Trimmed {
    private Trimmed() {}

    static BlankLayer to(Blank core, LaidOut top) {
        Blank alone = top.alone();
        double coreLeft = core.middleX() - core.across() / 2;
        double left = alone.middleX() - alone.across() / 2;
        List<Strip> strips = new ArrayList<>();
        double x = left;
        List<Strip> all = top.layer().strips();
        for (int i = 0; i < all.size(); i++) {
            double from = i == 0 ? coreLeft : x;
            double to = i == all.size() - 1
                    ? coreLeft + core.across()
                    : x + all.get(i).width();
            strips.add(all.get(i).withWidth(to - from));
            x += all.get(i).width();
        }
        return new BlankLayer(
                top.layer().species(),
                strips,
                top.layer().thickness(),
                top.layer().flaws());
    }
}
