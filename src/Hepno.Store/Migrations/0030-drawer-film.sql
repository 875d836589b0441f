-- on which film transfers of the drawer are printed: they are pressed by that film's recipe alone
ALTER TABLE order_drawer ADD COLUMN film_id TEXT NOT NULL DEFAULT '';
