<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

/** A member of staff has done something that the trail tells of. */
final readonly class Acted
{
    /**
     * @param string               $act    in the trail's words, such as "archive" or "change key"
     * @param string               $kind   of the subject: item, paper, edition, class, student, handout, grouping, skill, misconception
     * @param array<string, mixed> $detail
     */
    public function __construct(
        public string $teamId,
        public string $staffId,
        public string $act,
        public string $kind,
        public string $subjectId,
        public array $detail = [],
    ) {
    }
}
