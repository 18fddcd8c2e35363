package ebauche.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.junit.jupiter.api.Tag;

/** The picture in docs/architecture.md: imports only point down, never along the row of stations. */
@AnalyzeClasses(packages = "ebauche.core", importOptions = ImportOption.DoNotIncludeTests.class)
@Tag("slow")
class ArchitectureTest {
    private static String core(String name) {
        return "ebauche.core." + name + "..";
    }

    private static final String[] STATIONS = {
        core("blank"),
        core("thickness"),
        core("outline"),
        core("neck"),
        core("cavity"),
        core("contour"),
        core("sanding")
    };

    @ArchTest
    static final ArchRule imports_point_down = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("realism")
            .definedBy(core("realism"))
            .layer("plan")
            .definedBy(core("plan"))
            .layer("stations")
            .definedBy(STATIONS)
            .layer("station")
            .definedBy(core("station"))
            .layer("order")
            .definedBy(core("order"))
            .layer("routing")
            .definedBy(core("routing"))
            .layer("job")
            .definedBy(core("job"))
            .layer("fit")
            .definedBy(core("fit"))
            .layer("logbook")
            .definedBy(core("logbook"))
            .layer("layout")
            .definedBy(core("layout"))
            .layer("feed")
            .definedBy(core("feed"))
            .layer("operation")
            .definedBy(core("operation"))
            .layer("passes")
            .definedBy(core("passes"))
            .layer("shop")
            .definedBy(core("shop"))
            .layer("design")
            .definedBy(core("design"))
            .layer("things")
            .definedBy(core("stock"), core("crib"), core("hardware"), core("timber"))
            .layer("ground")
            .definedBy(core("measure"), core("geometry"), core("feature"))
            .whereLayer("realism")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("feed")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("plan")
            .mayOnlyBeAccessedByLayers("realism")
            .whereLayer("stations")
            .mayOnlyBeAccessedByLayers("realism", "plan")
            .whereLayer("station")
            .mayOnlyBeAccessedByLayers("realism", "plan", "stations")
            .whereLayer("order")
            .mayOnlyBeAccessedByLayers("realism", "plan")
            .whereLayer("routing")
            .mayOnlyBeAccessedByLayers("realism", "plan", "stations", "station")
            .whereLayer("job")
            .mayOnlyBeAccessedByLayers("realism", "plan", "stations", "order", "station", "routing")
            .whereLayer("fit")
            .mayOnlyBeAccessedByLayers("realism", "plan", "stations", "order", "station", "routing", "job")
            .whereLayer("logbook")
            .mayOnlyBeAccessedByLayers("realism", "plan", "stations", "order", "station", "routing", "job", "fit")
            .whereLayer("layout")
            .mayOnlyBeAccessedByLayers("realism", "plan", "stations")
            .whereLayer("operation")
            .mayOnlyBeAccessedByLayers(
                    "realism", "plan", "stations", "order", "station", "routing", "job", "fit", "logbook")
            .whereLayer("passes")
            .mayOnlyBeAccessedByLayers(
                    "realism", "plan", "stations", "order", "station", "routing", "job", "fit", "logbook", "operation")
            .whereLayer("shop")
            .mayOnlyBeAccessedByLayers(
                    "realism",
                    "plan",
                    "stations",
                    "order",
                    "station",
                    "routing",
                    "job",
                    "fit",
                    "logbook",
                    "operation",
                    "layout")
            .whereLayer("design")
            .mayOnlyBeAccessedByLayers(
                    "realism",
                    "plan",
                    "stations",
                    "order",
                    "station",
                    "routing",
                    "job",
                    "fit",
                    "logbook",
                    "operation",
                    "shop",
                    "layout",
                    "feed")
            .whereLayer("things")
            .mayOnlyBeAccessedByLayers(
                    "realism",
                    "plan",
                    "stations",
                    "order",
                    "station",
                    "routing",
                    "job",
                    "fit",
                    "logbook",
                    "operation",
                    "passes",
                    "shop",
                    "design",
                    "layout",
                    "feed");

    @ArchTest
    static final ArchRule stations_do_not_know_each_other = slices().matching(
                    "ebauche.core.(blank|thickness|outline|neck|cavity|contour|sanding)..")
            .should()
            .notDependOnEachOther();

    @ArchTest
    static final ArchRule core_knows_no_screen_store_framework_or_file_format = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "java.sql..",
                    "tools.jackson..",
                    "com.fasterxml..",
                    "jakarta..",
                    "java.net..",
                    "java.nio.file..",
                    "ebauche.app..",
                    "ebauche.exchange..");

    /** A plan is a pure function: no clock, no chance. */
    @ArchTest
    static final ArchRule core_has_no_clock_and_no_chance = noClasses()
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.util.Random")
            .orShould()
            .dependOnClassesThat()
            .resideInAPackage("java.time..");
}
