<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126233000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Questions are found by stems and by words that are nearly the same.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE INDEX item_lexemes ON item USING gin (to_tsvector('english', search))");
        $this->addSql('CREATE INDEX item_trigrams ON item USING gin (search gin_trgm_ops)');
    }
}
