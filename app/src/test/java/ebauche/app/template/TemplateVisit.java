package ebauche.app.template;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.design.BodyDesign;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;

/** A maker with a body of the demo's, on the pages of its template. */
public abstract class TemplateVisit extends WithVisitor {
    @Autowired
    protected Bodies plans;

    protected String here;

    @BeforeEach
    void find() {
        here = shop.path("marram");
    }

    protected Bodies.Current marram() {
        return plans.current(shop.bodies().get("marram"));
    }

    protected BodyDesign design() {
        return marram().plan().build().design();
    }

    protected String base() {
        return String.valueOf(marram().revision().number());
    }

    protected HttpResponse<String> post(String path, String... fields) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fields.length; i += 2) {
            typed.put(fields[i], fields[i + 1]);
        }
        return me.post(here + "/template", here + path, typed);
    }
}
