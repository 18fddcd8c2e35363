/** Body timbers and what the plan needs to know of them. Densities in kg/m³ at 12 % moisture. */
package ebauche.core.timber;
