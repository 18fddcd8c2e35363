package ebauche.app.body;

import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * One numbered state of a design, never changed once it is there.
 *
 * @param basedOn the revision that was edited, 0 for the first
 * @param file the build file without what was done; shared by all who read it, so copied before anything is changed
 */
public record Revision(int number, int basedOn, ObjectNode file, String madeBy, String madeAt) {
    public ObjectNode design() {
        return (ObjectNode) file.get("design");
    }

    public ObjectNode shop() {
        return file.path("shop") instanceof ObjectNode shop ? shop : JsonNodeFactory.instance.objectNode();
    }

    public String name() {
        return design().path("name").asString("");
    }
}
