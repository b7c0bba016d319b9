<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127160000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Whether a PDF is only the sheet that a paper is answered on.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE print_job ADD sheet boolean NOT NULL DEFAULT false');
    }
}
