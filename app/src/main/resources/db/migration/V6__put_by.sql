-- Bodies that wait for a client, a part or better days: the last row counts.
create table body_put_by (
    shop bigint not null,
    id bigint not null auto_increment unique,
    body bigint not null,
    put_by boolean not null,
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, id),
    foreign key (shop, body) references body (shop, id)
);

grant select, insert on body_put_by to '${appUser}'@'127.0.0.1';
