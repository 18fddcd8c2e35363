package ebauche.core.layout;

import ebauche.core.geometry.Region;

/** Wood that the build takes out of the body, from {@code top} to {@code bottom} below the finished front, mm. */
public record Pocket(Region area, double top, double bottom) {}
