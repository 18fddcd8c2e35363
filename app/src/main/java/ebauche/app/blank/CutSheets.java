package ebauche.app.blank;

import ebauche.app.body.Bodies;
import ebauche.app.timber.PlankDrawing;
import ebauche.app.web.Figures;
import ebauche.core.layout.Cut;
import ebauche.core.plan.BuildPlan;
import ebauche.core.timber.Board;
import ebauche.core.timber.Timbers;
import ebauche.exchange.rack.BoardFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The boards of a kept blank, each with its pieces and cuts drawn, for the cut list and for the bench. */
@Component
public class CutSheets {
    private final CutPlanStore plans;

    CutSheets(CutPlanStore plans) {
        this.plans = plans;
    }

    /** One board on the sheet. */
    public record OnSheet(Board board, String drawing, List<Cut> cuts) {}

    /** What is drawn at the bench where a blank is cut out: its boards, or the blank itself while nobody said which board it comes from. */
    public List<String> atBench(Bodies.Current current, Figures fig) {
        BuildPlan plan = current.plan();
        return plans.latest(current.body())
                .map(p -> of(p, current.ways().timbers(), fig).stream()
                        .map(OnSheet::drawing)
                        .toList())
                .orElseGet(() -> List.of(BlankDrawing.toCut(plan, fig)));
    }

    static List<OnSheet> of(CutPlan plan, Timbers timbers, Figures fig) {
        List<OnSheet> boards = new ArrayList<>();
        for (CutPlan.Used used : plan.boards()) {
            Board board = BoardFile.read(used.file(), timbers, List.of());
            List<Cut> cuts = plan.cuts().stream()
                    .filter(c -> c.board().equals(board.name()))
                    .toList();
            List<PlankDrawing.PieceBox> pieces = boxes(plan.pieces().stream()
                    .filter(p -> p.board().equals(board.name()))
                    .toList());
            boards.add(new OnSheet(board, PlankDrawing.withCuts(board, fig, pieces, cuts), cuts));
        }
        return boards;
    }

    /** Halves that are resawn out of one place are one box. */
    private static List<PlankDrawing.PieceBox> boxes(List<CutPlan.Place> places) {
        Map<String, PlankDrawing.PieceBox> boxes = new LinkedHashMap<>();
        for (CutPlan.Place p : places) {
            String mark = (p.layer().equals("top") ? "T" : "") + p.number();
            boxes.merge(
                    p.fromEnd() + " " + p.fromEdge(),
                    new PlankDrawing.PieceBox(mark, p.fromEnd(), p.fromEdge(), p.along(), p.across()),
                    (one, other) -> new PlankDrawing.PieceBox(
                            one.mark() + " + " + other.mark(),
                            one.fromEnd(),
                            one.fromEdge(),
                            one.along(),
                            Math.max(one.across(), other.across())));
        }
        return List.copyOf(boxes.values());
    }
}
