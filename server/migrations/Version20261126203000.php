<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126203000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Working that students show beside their answers.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE response ADD working jsonb');
    }
}
