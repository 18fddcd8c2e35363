-- A maker who was taken out signs in no more; what they entered stays under their name, which nobody else takes.
alter table maker add column gone_at timestamp(3) null;

-- Codes that let somebody into a shop: each once, for a week; only its hash is kept.
create table invitation (
    shop bigint not null,
    id bigint not null auto_increment unique,
    code char(64) character set ascii collate ascii_bin not null unique,
    made_by bigint not null,
    made_at timestamp(3) not null default current_timestamp(3),
    -- milliseconds since 1970, as the app's clock tells them
    ends_at bigint not null,
    used_by bigint null,
    primary key (shop, id),
    foreign key (shop, made_by) references maker (shop, id),
    foreign key (shop, used_by) references maker (shop, id)
);

grant select, insert, update (used_by) on invitation to '${appUser}'@'127.0.0.1';
grant update (password, gone_at) on maker to '${appUser}'@'127.0.0.1';
