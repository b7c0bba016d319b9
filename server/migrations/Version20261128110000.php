<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128110000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The youngest come in with three pictures instead of a PIN.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE class ADD pictures boolean NOT NULL DEFAULT false');
    }
}
