<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** See docs/decisions/search-language.md. */
final class Version20261128140000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Questions are found by the stems of the language that their team writes in.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE team ADD search_language text NOT NULL DEFAULT 'english'");
        $this->addSql("ALTER TABLE item ADD language regconfig NOT NULL DEFAULT 'english'");
        $this->addSql('DROP INDEX item_lexemes');
        $this->addSql('CREATE INDEX item_lexemes ON item USING gin (to_tsvector(language, search))');
        $this->addSql('CREATE FUNCTION item_in_language() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                NEW.language := (SELECT search_language::regconfig FROM team WHERE id = NEW.team_id);
                RETURN NEW;
            END $$');
        $this->addSql('CREATE TRIGGER item_in_language BEFORE INSERT ON item FOR EACH ROW EXECUTE FUNCTION item_in_language()');
        $this->addSql('CREATE FUNCTION team_in_language() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                UPDATE item SET language = NEW.search_language::regconfig WHERE team_id = NEW.id;
                RETURN NULL;
            END $$');
        $this->addSql('CREATE TRIGGER team_in_language AFTER UPDATE OF search_language ON team FOR EACH ROW
            WHEN (OLD.search_language IS DISTINCT FROM NEW.search_language) EXECUTE FUNCTION team_in_language()');
    }
}
