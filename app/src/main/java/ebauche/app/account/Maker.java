package ebauche.app.account;

import java.io.Serial;
import java.io.Serializable;
import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * A maker who signs in, and the shop that everything they see belongs to.
 *
 * @param password its hash; the session keeps none
 */
public record Maker(long shop, long id, String name, String password) implements UserDetails, Serializable {
    @Serial
    private static final long serialVersionUID = 1L;

    /** The demo maker's name; nobody else may take it. */
    public static final String DEMO = "demo";

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public String getPassword() {
        return password;
    }

    @Override
    public String getUsername() {
        return name;
    }
}
