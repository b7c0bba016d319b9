<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127020000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Which version of a paper a PDF is of, and whether it is in large print.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE print_job ADD version text NOT NULL DEFAULT '', ADD large boolean NOT NULL DEFAULT false");
    }
}
