<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127190000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A mended paper reaches work that is under way: answers to what is gone are kept aside, answers to what has changed are known.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE response ADD aside uuid REFERENCES edition');
        $this->addSql("ALTER TABLE sitting ADD mended jsonb NOT NULL DEFAULT '{}'");
        $this->addSql('ALTER TABLE mark_event DROP CONSTRAINT mark_event_kind_check');
        $this->addSql("ALTER TABLE mark_event ADD CONSTRAINT mark_event_kind_check
            CHECK (kind IN ('hand', 'override', 'key change', 'key undo', 'mended paper'))");
    }
}
