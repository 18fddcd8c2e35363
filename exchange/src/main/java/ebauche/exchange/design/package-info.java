/** What a design is made of, each element said once: from that come reading, forms, differences and the schema. */
package ebauche.exchange.design;
