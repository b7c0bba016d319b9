<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The request that kept a question, so that one sent twice keeps it once.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE item ADD request_id uuid, ADD request_place smallint');
        $this->addSql('CREATE UNIQUE INDEX item_request ON item (team_id, request_id, request_place) WHERE request_id IS NOT NULL');
    }
}
