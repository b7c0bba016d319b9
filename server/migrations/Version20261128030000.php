<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128030000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Raised hands, as a teacher counts them.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE wall ADD hands jsonb NOT NULL DEFAULT '{}'");
    }
}
