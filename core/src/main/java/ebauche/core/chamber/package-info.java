/** Station: hollows that are routed into the core before its top is glued over them. */
package ebauche.core.chamber;
