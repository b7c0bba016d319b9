<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126190000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Hints come in steps: how many of them a student has opened.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE response RENAME hint_opened TO hints_opened');
        $this->addSql('ALTER TABLE response ALTER hints_opened DROP DEFAULT');
        $this->addSql('ALTER TABLE response ALTER hints_opened TYPE smallint USING hints_opened::int');
        $this->addSql('ALTER TABLE response ALTER hints_opened SET DEFAULT 0');
        $this->addSql('ALTER TABLE response ADD CONSTRAINT response_hints CHECK (hints_opened BETWEEN 0 AND 5)');
    }
}
