<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128160000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Which pages of others may show a team’s work within themselves.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE team ADD framed_by jsonb NOT NULL DEFAULT '[]'");
    }
}
