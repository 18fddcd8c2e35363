package ebauche.app.web;

import java.lang.reflect.RecordComponent;
import java.util.Optional;
import org.springframework.ui.Model;

/** Hands a page what it shows as one record, whose components are what its template may name. */
public final class PageModel {
    private PageModel() {}

    /** Puts each component under its name; one that is empty is left out. */
    public static void put(Model model, Record view) {
        for (RecordComponent component : view.getClass().getRecordComponents()) {
            Object value = value(component, view);
            Object there = value instanceof Optional<?> some ? some.orElse(null) : value;
            if (there != null) {
                model.addAttribute(component.getName(), there);
            }
        }
    }

    private static Object value(RecordComponent component, Record view) {
        try {
            component.getAccessor().setAccessible(true); // a controller's own record need not be public
            return component.getAccessor().invoke(view);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(component + " cannot be read", e);
        }
    }
}
