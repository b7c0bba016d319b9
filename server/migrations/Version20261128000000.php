<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Who teaches a class, and its lasting groups.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE class ADD teachers uuid[] NOT NULL DEFAULT '{}'");
        $this->addSql("CREATE TABLE class_group (
            id uuid PRIMARY KEY,
            class_id uuid NOT NULL REFERENCES class ON DELETE CASCADE,
            name text NOT NULL,
            students uuid[] NOT NULL DEFAULT '{}'
        )");
        $this->addSql('CREATE UNIQUE INDEX class_group_name ON class_group (class_id, lower(name))');
    }
}
