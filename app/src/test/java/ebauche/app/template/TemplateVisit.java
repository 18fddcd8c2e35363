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
    private String body;

    @BeforeEach
    void find() {
        visit("marram");
    }

    /** Goes to another body of the demo's. */
    protected void visit(String name) {
        body = name;
        here = shop.path(name);
    }

    protected Bodies.Current current() {
        return plans.current(shop.bodies().get(body));
    }

    protected BodyDesign design() {
        return current().plan().build().design();
    }

    protected String base() {
        return String.valueOf(current().revision().number());
    }

    protected HttpResponse<String> post(String path, String... fields) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fields.length; i += 2) {
            typed.put(fields[i], fields[i + 1]);
        }
        return me.post(here + "/template", here + path, typed);
    }
}
