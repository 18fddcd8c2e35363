package ebauche.app.account;

import ebauche.core.measure.LengthUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Shops and the makers in them. */
@Repository
public class MakerStore {
    private final JdbcClient sql;

    public MakerStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** The maker whom a name means: capitals and accents do not tell makers apart. */
    public Optional<Maker> find(String name) {
        return sql.sql("""
                select m.shop, m.id, m.name, coalesce(
                    (select p.password from maker_password p
                        where p.shop = m.shop and p.maker = m.id order by p.id desc limit 1),
                    m.password) as password
                from maker m
                where m.name = :name
                    and not exists (select 1 from maker_gone g where g.shop = m.shop and g.maker = m.id)
                """).param("name", Names.normal(name)).query(Maker.class).optional();
    }

    /** Makes a shop with its first maker; empty, and nothing made, if the name is taken. */
    @Transactional
    public Optional<Maker> open(String shopName, String name, String passwordHash, LengthUnit unit) {
        if (isTaken(name)) {
            return Optional.empty();
        }
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        sql.sql("insert into shop (name) values (:name)")
                .param("name", shopName)
                .update(key, "id");
        long shop = key.getKey().longValue();
        add(shop, name, passwordHash, unit);
        return find(name);
    }

    /** Whether somebody has that name, or had it. */
    private boolean isTaken(String name) {
        return sql.sql("select count(*) from maker where name = :name")
                        .param("name", Names.normal(name))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    private long add(long shop, String name, String passwordHash, LengthUnit unit) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        try {
            sql.sql("""
                    insert into maker (shop, name, password, unit)
                    values (:shop, :name, :password, :unit)
                    """)
                    .param("shop", shop)
                    .param("name", name)
                    .param("password", passwordHash)
                    .param("unit", unit.name())
                    .update(key, "id");
        } catch (DuplicateKeyException taken) {
            throw new NameTaken();
        }
        return key.getKey().longValue();
    }

    /**
     * Somebody of a shop.
     *
     * @param opened whether it was them who opened it
     */
    public record Person(long id, String name, boolean opened) {}

    /** Who is in a shop, its opener first. */
    public List<Person> people(long shop) {
        return sql.sql("""
                select id, name, id = (select min(o.id) from maker o where o.shop = m.shop) as opened
                from maker m
                where shop = :shop
                    and not exists (select 1 from maker_gone g where g.shop = m.shop and g.maker = m.id)
                order by id
                """).param("shop", shop).query(Person.class).list();
    }

    /** Takes somebody out who did not open the shop: they sign in no more, and where they are signed in they are put out. */
    @Transactional
    public boolean takeOut(long shop, long id) {
        Optional<Person> gone =
                people(shop).stream().filter(p -> p.id() == id && !p.opened()).findFirst();
        gone.ifPresent(p -> {
            sql.sql("insert ignore into maker_gone (shop, maker) values (:shop, :id)")
                    .param("shop", shop)
                    .param("id", id)
                    .update();
            putOut(p.name(), "");
        });
        return gone.isPresent();
    }

    /** Another password; wherever else the maker is signed in they have to use it. */
    @Transactional
    public void setPassword(Maker maker, String hash, String session) {
        sql.sql("insert into maker_password (shop, maker, password) values (:shop, :id, :hash)")
                .param("hash", hash)
                .param("shop", maker.shop())
                .param("id", maker.id())
                .update();
        putOut(maker.name(), session);
    }

    private void putOut(String name, String but) {
        sql.sql("delete from SPRING_SESSION where PRINCIPAL_NAME = :name and SESSION_ID <> :but")
                .param("name", name)
                .param("but", but)
                .update();
    }

    /** Keeps a code that lets somebody in until a moment, ms since 1970. */
    public void invite(Maker by, String codeHash, long until) {
        sql.sql("insert into invitation (shop, code, made_by, ends_at) values (:shop, :code, :by, :until)")
                .param("shop", by.shop())
                .param("code", codeHash)
                .param("by", by.id())
                .param("until", until)
                .update();
    }

    /** Codes of a shop that nobody has used and that still hold. */
    public int openInvitations(long shop, long now) {
        return sql.sql("""
                select count(*) from invitation i
                where shop = :shop and ends_at > :now
                    and not exists (select 1 from invitation_used u where u.shop = i.shop and u.invitation = i.id)
                """)
                .param("shop", shop)
                .param("now", now)
                .query(Integer.class)
                .single();
    }

    /** What became of a code. */
    public enum Code {
        HOLDS,
        UNKNOWN,
        USED,
        LATE
    }

    private record Invitation(long shop, long id, long endsAt, Long usedBy) {
        Code at(long now) {
            return usedBy != null ? Code.USED : endsAt <= now ? Code.LATE : Code.HOLDS;
        }
    }

    private Optional<Invitation> invitation(String codeHash) {
        return sql.sql("""
                select i.shop, i.id, i.ends_at, u.maker as used_by
                from invitation i left join invitation_used u on u.shop = i.shop and u.invitation = i.id
                where i.code = :code
                """).param("code", codeHash).query(Invitation.class).optional();
    }

    /**
     * Lets somebody in by a code, which is used by it.
     *
     * @return the new maker; empty, and nothing done, where the code does not hold
     * @throws NameTaken if somebody has that name, or had it
     * @throws CodeUsed if somebody else used it at the same moment
     */
    @Transactional
    public Optional<Maker> join(String codeHash, String name, String passwordHash, LengthUnit unit, long now) {
        Optional<Invitation> by = invitation(codeHash).filter(i -> i.at(now) == Code.HOLDS);
        by.ifPresent(i -> {
            long id = add(i.shop(), name, passwordHash, unit);
            use(i, id);
        });
        return by.flatMap(i -> find(name));
    }

    private void use(Invitation by, long maker) {
        try {
            sql.sql("insert into invitation_used (shop, invitation, maker) values (:shop, :invitation, :maker)")
                    .param("shop", by.shop())
                    .param("invitation", by.id())
                    .param("maker", maker)
                    .update();
        } catch (DuplicateKeyException used) {
            throw new CodeUsed();
        }
    }

    /** Somebody else came in by the code at the same moment; the maker made for it is rolled back. */
    public static final class CodeUsed extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** What a code is worth. */
    public Code code(String codeHash, long now) {
        return invitation(codeHash).map(i -> i.at(now)).orElse(Code.UNKNOWN);
    }

    /** Another sign-up took the name at the same moment; the shop made for it is rolled back. */
    public static final class NameTaken extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    public String shopName(long shop) {
        return sql.sql("select name from shop where id = :shop")
                .param("shop", shop)
                .query(String.class)
                .single();
    }

    public LengthUnit unit(Maker maker) {
        return sql.sql("select unit from maker where shop = :shop and id = :id")
                .param("shop", maker.shop())
                .param("id", maker.id())
                .query(String.class)
                .optional()
                .map(LengthUnit::valueOf)
                .orElse(LengthUnit.MILLIMETRE);
    }

    public void setUnit(Maker maker, LengthUnit unit) {
        sql.sql("update maker set unit = :unit where shop = :shop and id = :id")
                .param("unit", unit.name())
                .param("shop", maker.shop())
                .param("id", maker.id())
                .update();
    }
}
