<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127180000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What helps a student in every piece of work, and with how few options a sitting was begun.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE student ADD support jsonb NOT NULL DEFAULT '{}'");
        $this->addSql('ALTER TABLE sitting ADD fewer_options smallint NOT NULL DEFAULT 0 CHECK (fewer_options BETWEEN 0 AND 2)');
    }
}
