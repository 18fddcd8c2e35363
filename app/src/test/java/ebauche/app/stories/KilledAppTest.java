package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.ServiceWorkerPolicy;
import ebauche.app.body.Body;
import ebauche.app.testing.AppProcess;
import ebauche.app.testing.Story;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.LengthUnit;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The app is killed while a tablet is at the bench, and started again while what was logged waits on it. */
class KilledAppTest extends Story {
    @TempDir
    Path folder;

    private AppProcess app;

    @Override
    protected String address() {
        return app == null ? super.address() : app.address();
    }

    @AfterEach
    void stop() {
        app.close();
    }

    private List<AsBuilt.Entry> since(int before) {
        List<AsBuilt.Entry> all = bodies.record(sedge()).timeline();
        return all.subList(before, all.size());
    }

    private Body sedge() {
        return shop.bodies().get("sedge");
    }

    @Test
    void what_waits_when_the_app_is_killed_goes_up_once_when_it_is_started_again() {
        workers = ServiceWorkerPolicy.ALLOW;
        expected = Pattern.compile(expected.pattern()
                + "|net::ERR_(CONNECTION_REFUSED|CONNECTION_RESET|EMPTY_RESPONSE|FAILED)|status of 503");
        int port = AppProcess.freePort();
        app = AppProcess.start(DATABASE, port, folder);
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        int before = bodies.record(sedge()).timeline().size();
        go(shop.path("sedge") + "/bench?step=neck:rout");
        underTheWorker();
        page.locator(".bench[data-ahead=kept]").waitFor();

        app.kill();
        page.locator("#value").fill("24.3 mm");
        button("Log reading").click();
        assertThat(page.locator("#kept-here .waits")).containsText("readings neck:rout");
        button("Done, next step").click();
        assertThat(page.locator("#kept-here .waits")).hasCount(2);
        page.reload();
        assertThat(page.locator("#kept-here .waits")).hasCount(2);
        assertThat(since(before)).isEmpty();

        app = AppProcess.start(DATABASE, port, folder);
        page.evaluate("window.dispatchEvent(new Event('online'))");
        assertThat(page.locator("#kept-here .waits")).hasCount(0);
        assertThat(since(before)).hasSize(2);
        assertThat(since(before).get(0)).isInstanceOf(AsBuilt.Reading.class);
        assertThat(since(before).get(1)).isInstanceOf(AsBuilt.Done.class);
        page.reload();
        assertThat(since(before)).hasSize(2);
    }
}
