<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126110000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The same picture is kept once: found by what it holds.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE INDEX file_hash ON file (team_id, encode(sha256(bytes), 'hex'))");
    }
}
