/** From what a maker says lies on the bench to the first revision of a body's file. */
package ebauche.exchange.takeon;
