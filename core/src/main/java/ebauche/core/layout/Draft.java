package ebauche.core.layout;

/**
 * Which board and which length of it each piece of a pattern is cut from; not yet where in it, nor how turned.
 *
 * @param board index on the rack, for each piece from left to right
 * @param segment which length of that board, counted from its near end
 */
@SuppressWarnings("ArrayRecordComponent") // made a hundred thousand times a search, never compared
record Draft(Pattern pattern, int[] board, int[] segment) {
    int pieces() {
        return board.length;
    }
}
