package ebauche.core.order;

import ebauche.core.feature.StepKey;

/**
 * One step before another, and why.
 *
 * @param before key of the earlier step
 * @param after key of the later step
 * @param because the reason, as said of the later step
 * @param takesAway whether the later step takes away what the earlier one needs, rather than needing what it gives
 * @param lagMinutes least time between the end of one and the start of the other
 */
public record Link(StepKey before, StepKey after, String because, boolean takesAway, int lagMinutes) {}
