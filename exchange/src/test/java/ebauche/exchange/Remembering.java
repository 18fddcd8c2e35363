package ebauche.exchange;

import ebauche.core.memo.Memo;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** Each test of a class runs during one memo: for those that plan much the same body again and again. No answer hangs on it. */
public final class Remembering implements BeforeEachCallback, AfterEachCallback {
    private static final Memo MEMO = Memo.of(256L << 20);
    private static final ExtensionContext.Namespace HERE = ExtensionContext.Namespace.create(Remembering.class);

    @Override
    public void beforeEach(ExtensionContext test) {
        test.getStore(HERE).put("end", MEMO.begin());
    }

    @Override
    public void afterEach(ExtensionContext test) {
        test.getStore(HERE).get("end", Runnable.class).run();
    }
}
