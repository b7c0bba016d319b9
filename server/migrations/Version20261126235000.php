<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126235000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Remarks of colleagues on a question.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE item_remark (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            item_id uuid NOT NULL REFERENCES item,
            part text NOT NULL,
            text text NOT NULL,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL,
            settled_by uuid REFERENCES staff,
            settled_at timestamptz
        )');
        $this->addSql('CREATE INDEX item_remark_item ON item_remark (item_id, made_at)');
        $this->addSql('CREATE INDEX item_remark_open ON item_remark (team_id, item_id) WHERE settled_at IS NULL');
    }
}
