<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Remarks of colleagues on a paper too.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE item_remark RENAME TO remark');
        $this->addSql('ALTER TABLE remark ALTER item_id DROP NOT NULL, ADD paper_id uuid REFERENCES paper,
            ADD CHECK (num_nonnulls(item_id, paper_id) = 1)');
        $this->addSql('CREATE INDEX remark_paper ON remark (paper_id, made_at) WHERE paper_id IS NOT NULL');
    }
}
