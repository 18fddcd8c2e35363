package ebauche.app;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTag;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import ebauche.app.drawing.Svg;
import ebauche.core.station.Station;

/** App over exchange over core; SQL in stores only; drawings know no web. */
@ArchTag("slow")
@AnalyzeClasses(packages = "ebauche", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule modules_point_down = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("app")
            .definedBy("ebauche.app..")
            .layer("exchange")
            .definedBy("ebauche.exchange..")
            .layer("core")
            .definedBy("ebauche.core..")
            .whereLayer("app")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("exchange")
            .mayOnlyBeAccessedByLayers("app");

    /** A screen asks all kinds of work alike; what only one of them knows has a class of its own beside it. */
    @ArchTest
    static final ArchRule no_screen_names_a_station = noClasses()
            .that()
            .resideInAnyPackage("ebauche.app..", "ebauche.exchange..")
            .should()
            .dependOnClassesThat(implementations());

    private static DescribedPredicate<JavaClass> implementations() {
        return JavaClass.Predicates.implement(Station.class).as("are kinds of work");
    }

    @ArchTest
    static final ArchRule sql_lives_in_stores = noClasses()
            .that()
            .haveSimpleNameNotEndingWith("Store")
            .and()
            .resideInAPackage("ebauche.app..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework.jdbc..", "java.sql..");

    @ArchTest
    static final ArchRule drawings_know_no_web = noClasses()
            .that(draw())
            .or()
            .resideInAPackage("ebauche.app.drawing..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..");

    private static DescribedPredicate<JavaClass> draw() {
        return DescribedPredicate.describe(
                "draw",
                c -> c.getDirectDependenciesFromSelf().stream()
                        .anyMatch(d -> d.getTargetClass().isEquivalentTo(Svg.class)));
    }

    /** What several pages draw with stands below them all; it draws no page. */
    @ArchTest
    static final ArchRule drawing_and_web_know_no_page = noClasses()
            .that()
            .resideInAnyPackage(
                    "ebauche.app.drawing..", "ebauche.app.web..", "ebauche.app.account..", "ebauche.app.words..")
            .should()
            .dependOnClassesThat(resideInAPackage("ebauche.app.(*)..")
                    .and(not(resideInAnyPackage(
                            "ebauche.app.drawing..",
                            "ebauche.app.web..",
                            "ebauche.app.account..",
                            "ebauche.app.words.."))));

    @ArchTest
    static final ArchRule rooms_of_the_app_go_in_no_circle =
            slices().matching("ebauche.app.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule rooms_of_exchange_go_in_no_circle =
            slices().matching("ebauche.exchange.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule the_plan_command_needs_no_spring = noClasses()
            .that()
            .resideInAPackage("ebauche.exchange..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "java.sql..");

    @ArchTest
    static final ArchRule controllers_are_thin_and_not_public =
            classes().that().haveSimpleNameEndingWith("Controller").should().notBePublic();
}
