-- Timers of a shop: glue, drying, whatever waits. They run in the shop's database, so that neither a tablet nor the app that is started anew stops one.
create table timer (
    shop bigint not null,
    id bigint not null auto_increment unique,
    -- made by whoever sets it: a repeat sets no second one
    client_id char(36) character set ascii collate ascii_bin not null,
    body bigint null,
    says varchar(160) not null,
    -- milliseconds since 1970
    ends_at bigint not null,
    set_by varchar(60) not null,
    set_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, id),
    unique (shop, client_id),
    foreign key (shop) references shop (id),
    foreign key (shop, body) references body (shop, id)
);

-- Timers that somebody has taken off.
create table timer_off (
    shop bigint not null,
    timer bigint not null,
    taken_by varchar(60) not null,
    taken_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, timer),
    foreign key (shop, timer) references timer (shop, id)
);

grant select, insert on timer to '${appUser}'@'127.0.0.1';
grant select, insert on timer_off to '${appUser}'@'127.0.0.1';
