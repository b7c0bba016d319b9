<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How a team writes numbers.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE team ADD number_style text NOT NULL DEFAULT 'point' CHECK (number_style IN ('point', 'comma'))");
    }
}
