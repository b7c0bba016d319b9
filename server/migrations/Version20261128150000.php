<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A note of a lesson may be spoken.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE lesson_note ADD file_id uuid REFERENCES file');
        $this->addSql('CREATE INDEX lesson_note_file ON lesson_note (file_id) WHERE file_id IS NOT NULL');
    }
}
