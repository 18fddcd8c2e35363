package ebauche.core;

import ebauche.core.crib.HoldDown;
import ebauche.core.shop.Practice;
import ebauche.core.shop.Practice.EdgeSchool;
import ebauche.core.shop.Practice.Skill;
import java.util.Set;

/** A shop's practice with one school or other changed. */
public final class TestPractice {
    private TestPractice() {}

    public static Practice with(Practice p, EdgeSchool edge) {
        return with(p, p.holdDown(), edge, p.skills());
    }

    public static Practice with(Practice p, HoldDown hold) {
        return with(p, hold, p.edge(), p.skills());
    }

    public static Practice with(Practice p, Set<Skill> skills) {
        return with(p, p.holdDown(), p.edge(), skills);
    }

    /** One whose hollows take so many minutes a litre. */
    public static Practice hollowing(Practice p, double minutes) {
        return with(p, p.holdDown(), p.edge(), p.skills(), minutes);
    }

    private static Practice with(Practice p, HoldDown hold, EdgeSchool edge, Set<Skill> skills) {
        return with(p, hold, edge, skills, p.hollowMinutes());
    }

    /** One that allows so much for sanding each face. */
    public static Practice sanding(Practice p, double each) {
        return new Practice(
                p.thicknessing(),
                p.holdDown(),
                each,
                each,
                p.sawAllowance(),
                p.wasteShy(),
                p.lastPass(),
                p.glueHours(),
                p.hollowMinutes(),
                p.edge(),
                p.hand(),
                p.skills(),
                p.habits(),
                p.waste(),
                p.shaping(),
                p.laidOutTo());
    }

    private static Practice with(Practice p, HoldDown hold, EdgeSchool edge, Set<Skill> skills, double hollow) {
        return new Practice(
                p.thicknessing(),
                hold,
                p.frontSanding(),
                p.backSanding(),
                p.sawAllowance(),
                p.wasteShy(),
                p.lastPass(),
                p.glueHours(),
                hollow,
                edge,
                p.hand(),
                skills,
                p.habits(),
                p.waste(),
                p.shaping(),
                p.laidOutTo());
    }
}
