<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128170000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A student may have an account of their own.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE student ADD account_name text, ADD account_hash text,
            ADD CONSTRAINT student_account_whole CHECK ((account_name IS NULL) = (account_hash IS NULL))');
        $this->addSql('CREATE UNIQUE INDEX student_account ON student (account_name) WHERE account_name IS NOT NULL');
    }
}
