/** A body's first layout, from what lies on the bench: where neck, bridge, pickups and controls go before anybody has drawn them, and why. */
package ebauche.core.takeon;
