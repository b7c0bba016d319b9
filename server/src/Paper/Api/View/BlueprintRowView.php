<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Paper\BlueprintRow;

final readonly class BlueprintRowView
{
    /**
     * @param string|null  $skill    null: none is named, or the whole paper
     * @param list<string> $entries  its questions
     * @param string|null  $wanted   marks that are planned
     * @param float|null   $facility expected share of the marks, over the questions with a record
     * @param int          $known    questions with a record
     * @param list<string> $thin     what speaks against it
     */
    private function __construct(
        public ?string $skill,
        public array $entries,
        public string $marks,
        public ?string $wanted,
        public ?float $facility,
        public int $known,
        public float $seconds,
        public array $thin,
    ) {
    }

    public static function of(BlueprintRow $row): self
    {
        return new self(
            $row->skill,
            $row->entries,
            NumberText::write($row->marks),
            $row->wanted === null ? null : NumberText::write($row->wanted),
            $row->facility,
            $row->known,
            $row->seconds,
            $row->thin,
        );
    }
}
