/** JSON read place by place, so that an error says where it lies, and written as people read it. */
package ebauche.exchange.json;
