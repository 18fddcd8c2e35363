package ebauche.app.testing;

import ebauche.core.measure.LengthUnit;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.node.ObjectNode;

/** The app with a shop of the test's own, and its maker signed in. */
public abstract class WithVisitor extends WithApp {
    protected Shop shop;
    protected Visitor me;

    @BeforeEach
    void openShopAndSignIn() {
        shop = openShop(LengthUnit.MILLIMETRE);
        me = visitor(shop);
    }

    /** A shop's maker, signed in. */
    protected Visitor visitor(Shop of) {
        return new Visitor(address()).signIn(of.maker().name(), PASSWORD);
    }

    /** A body's file as it is downloaded, to be changed and taken on. */
    protected ObjectNode fileOf(String body) {
        return me.fileOf(shop.path(body));
    }

    /** Takes a file on as a new body: its address. */
    protected String takenOn(ObjectNode file) {
        return me.takenOn(file);
    }
}
