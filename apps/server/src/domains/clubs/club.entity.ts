import { Entity, PrimaryKey, Property } from '@mikro-orm/core';

@Entity({ tableName: 'club' })
export class Club {
  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @Property({ type: 'text' })
  name!: string;
}
