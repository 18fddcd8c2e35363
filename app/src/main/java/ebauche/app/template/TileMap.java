package ebauche.app.template;

import ebauche.app.drawing.SegmentPath;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.sheet.PrickPattern;
import ebauche.core.sheet.TemplateSheet;
import ebauche.exchange.paper.Tiles;
import java.util.List;
import java.util.Optional;

/** A template under the sheets that it is printed on, upright as they lie on the table when they are glued. */
public final class TileMap {
    private static final double WIDTH = 780;
    private static final double HEIGHT = 520;
    private static final double MARGIN = 16;

    private TileMap() {}

    public static String of(TemplateSheet sheet, Optional<PrickPattern> waste, Tiles tiles) {
        double wide = tiles.columns() * (tiles.wide() - Tiles.OVERLAP) + Tiles.OVERLAP;
        double high = tiles.rows() * (tiles.high() - Tiles.OVERLAP) + Tiles.OVERLAP;
        double scale = Math.min((WIDTH - 2 * MARGIN) / wide, (HEIGHT - 2 * MARGIN) / high);
        double left = WIDTH / 2 - (tiles.left() + wide / 2) * scale;
        double bottom = HEIGHT / 2 + (tiles.bottom() + high / 2) * scale;
        Svg svg = new Svg(
                WIDTH,
                HEIGHT,
                "tile-map",
                Words.say(
                        "tile-map.sheets-over-the-template-across-and",
                        tiles.tiles().size(),
                        tiles.columns(),
                        tiles.rows()));
        for (Tiles.Tile tile : tiles.tiles()) {
            double x = left + tile.left() * scale;
            double y = bottom - (tile.bottom() + tiles.high()) * scale;
            svg.rect("sheet-edge", x, y, tiles.wide() * scale, tiles.high() * scale);
        }
        for (List<Segment> ring : sheet.rings()) {
            svg.path("edge", SegmentPath.of(ring, p -> left + p.x() * scale, p -> bottom - p.y() * scale));
        }
        svg.line("centre", left, bottom - tiles.bottom() * scale, left, bottom - (tiles.bottom() + high) * scale);
        for (Tiles.Tile tile : tiles.tiles()) {
            double x = left + (tile.left() + tiles.wide() / 2) * scale;
            svg.text("name", x, bottom - (tile.bottom() + tiles.high()) * scale + 24, "middle", tile.name());
        }
        for (Point hole : sheet.holes()) {
            svg.circle("hole", left + hole.x() * scale, bottom - hole.y() * scale, 4);
        }
        waste.ifPresent(w -> w.at().forEach(
                        p -> svg.circle("prick", left + p.x() * scale, bottom - p.y() * scale, w.wide() / 2 * scale)));
        double across = bottom - sheet.lineAcross() * scale;
        svg.line("centre", left + tiles.left() * scale, across, left + (tiles.left() + wide) * scale, across);
        return svg.done();
    }
}
