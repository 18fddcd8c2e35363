package ebauche.core;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.GeneralCodingRules.NO_CLASSES_SHOULD_ACCESS_STANDARD_STREAMS;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTag;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import java.util.ArrayList;
import java.util.List;

/** The picture in docs/architecture.md: imports only point down, never along the row of stations. */
@AnalyzeClasses(packages = "ebauche.core", importOptions = ImportOption.DoNotIncludeTests.class)
@ArchTag("slow")
class ArchitectureTest {
    private static String core(String name) {
        return "ebauche.core." + name + "..";
    }

    private static final String[] STATIONS = {
        core("blank"),
        core("chamber"),
        core("thickness"),
        core("outline"),
        core("neck"),
        core("cavity"),
        core("channel"),
        core("shielding"),
        core("edge"),
        core("contour"),
        core("sanding"),
        core("cap")
    };

    /** From the top downwards: a row may use those below it. */
    private static final List<Row> ROWS = List.of(
            new Row("realism"),
            new Row("balance"),
            new Row("sheet"),
            new Row("feed"),
            new Row("calendar"),
            new Row("plan"),
            new Row("stations", STATIONS),
            new Row("station"),
            new Row("order"),
            new Row("routing"),
            new Row("wires"),
            new Row("hollow"),
            new Row("takeon"),
            new Row("job"),
            new Row("fit"),
            new Row("logbook"),
            new Row("layout"),
            new Row("operation"),
            new Row("passes"),
            new Row("gluing"),
            new Row("shop"),
            new Row("design"),
            new Row("things", core("stock"), core("crib"), core("hardware"), core("timber")),
            new Row("ground", core("measure"), core("geometry"), core("feature")));

    private record Row(String name, List<String> packages) {
        Row(String name, String... packages) {
            this(name, packages.length == 0 ? List.of(core(name)) : List.of(packages));
        }
    }

    @ArchTest
    static final ArchRule imports_point_down = rows();

    private static ArchRule rows() {
        LayeredArchitecture house = layeredArchitecture().consideringOnlyDependenciesInLayers();
        List<String> above = new ArrayList<>();
        for (Row row : ROWS) {
            house = house.layer(row.name()).definedBy(row.packages().toArray(String[]::new));
        }
        for (Row row : ROWS) {
            house = above.isEmpty()
                    ? house.whereLayer(row.name()).mayNotBeAccessedByAnyLayer()
                    : house.whereLayer(row.name()).mayOnlyBeAccessedByLayers(above.toArray(String[]::new));
            above.add(row.name());
        }
        return house;
    }

    @ArchTest
    static final ArchRule rooms_go_in_no_circle =
            slices().matching("ebauche.core.(*)..").should().beFreeOfCycles();

    /** Whoever wants something of all kinds of work asks the list: only the list names them. */
    @ArchTest
    static final ArchRule only_the_list_names_a_kind_of_work = noClasses()
            .that()
            .resideInAnyPackage(core("plan"), core("realism"), core("balance"), core("sheet"))
            .and()
            .doNotHaveSimpleName("Stations")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(STATIONS);

    /** What only looks at edges and boards knows no job. */
    @ArchTest
    static final ArchRule feed_and_layout_know_no_job = noClasses()
            .that()
            .resideInAnyPackage(core("feed"), core("layout"))
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    core("plan"), core("job"), core("routing"), core("station"), core("order"), core("fit"));

    @ArchTest
    static final ArchRule stations_do_not_know_each_other = slices().matching(
                    "ebauche.core.(blank|chamber|thickness|outline|neck|cavity|channel|shielding|contour|sanding)..")
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

    @ArchTest
    static final ArchRule core_writes_to_no_console = NO_CLASSES_SHOULD_ACCESS_STANDARD_STREAMS;

    /** A plan is a pure function: no clock, no chance. */
    @ArchTest
    static final ArchRule core_has_no_clock_and_no_chance = noClasses()
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.util.Random")
            .orShould()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.time.Clock")
            .orShould()
            .callMethodWhere(target(DescribedPredicate.and(
                    owner(resideInAPackage("java..")), nameMatching("now|currentTimeMillis|nanoTime"))));
}
