package ebauche.app.account;

import ebauche.core.measure.LengthUnit;
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
        return sql.sql("select shop, id, name, password from maker where name = :name")
                .param("name", Names.normal(name))
                .query(Maker.class)
                .optional();
    }

    /** Makes a shop with its first maker; empty, and nothing made, if the name is taken. */
    @Transactional
    public Optional<Maker> open(String shopName, String name, String passwordHash, LengthUnit unit) {
        if (find(name).isPresent()) {
            return Optional.empty();
        }
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        sql.sql("insert into shop (name) values (:name)")
                .param("name", shopName)
                .update(key, "id");
        long shop = key.getKey().longValue();
        try {
            sql.sql("""
                    insert into maker (shop, name, password, unit)
                    values (:shop, :name, :password, :unit)
                    """)
                    .param("shop", shop)
                    .param("name", name)
                    .param("password", passwordHash)
                    .param("unit", unit.name())
                    .update();
        } catch (DuplicateKeyException taken) {
            throw new NameTaken();
        }
        return find(name);
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
