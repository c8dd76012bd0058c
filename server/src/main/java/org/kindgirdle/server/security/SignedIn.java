package org.kindgirdle.server.security;

import java.io.Serial;
import java.io.Serializable;
import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The person of a session, as kept in it. */
public record SignedIn(long id, String name, String passwordHash, Role role, boolean isEnabled)
        implements UserDetails, Serializable {

    @Serial
    private static final long serialVersionUID = 2;

    /** As it is kept in the session, where no hash belongs. */
    SignedIn withoutPassword() {
        return new SignedIn(id, name, "", role, isEnabled);
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return name;
    }
}
