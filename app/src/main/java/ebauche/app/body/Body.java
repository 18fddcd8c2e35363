package ebauche.app.body;

/**
 * A body on the shop's list.
 *
 * @param publicId what its address shows
 * @param number counted up in the shop
 */
public record Body(long shop, long id, String publicId, int number) {}
