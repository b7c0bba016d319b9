<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126123000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Live messages are numbered by channel. Numbers lost in a crash start above all that went before.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE UNLOGGED TABLE live_channel (channel text PRIMARY KEY, number bigint NOT NULL) WITH (fillfactor = 50)');
    }
}
