<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127220000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Who of a class is not handed what the class is.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE handout_class ADD without uuid[] NOT NULL DEFAULT '{}'");
    }
}
