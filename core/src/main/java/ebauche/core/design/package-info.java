/** What the maker wants: the body and its parts. Millimetres and degrees. */
package ebauche.core.design;
