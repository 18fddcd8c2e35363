package ebauche.core.gluing;

/**
 * Clamps or cauls that a glue-up takes.
 *
 * @param thing what the shop calls them
 * @param count how many
 * @param minutes that they stay on when the hands are done
 */
public record Grip(String thing, int count, int minutes) {}
