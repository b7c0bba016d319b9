<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128180000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A sheet that is asked for twice is made once.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE paper ADD request_id uuid');
        $this->addSql('CREATE UNIQUE INDEX paper_request ON paper (team_id, request_id) WHERE request_id IS NOT NULL');
    }
}
