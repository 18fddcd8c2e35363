package ebauche.core;

import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Before each test all that is remembered of wood and areas is forgotten. Used where JUnit's autodetection of extensions is switched
 * on, as it is for mutants: an answer reckoned before the code was changed would hide the change.
 */
public final class Forgetful implements BeforeEachCallback {
    @Override
    public void beforeEach(ExtensionContext test) {
        TestBody.MEMO.forget();
    }
}
