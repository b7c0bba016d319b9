<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125080000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How long an answer took, and how sure its student was.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE response ADD millis int CHECK (millis >= 0), ADD confidence smallint CHECK (confidence BETWEEN 1 AND 3)');
    }
}
