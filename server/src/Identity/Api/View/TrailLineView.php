<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

/** One change, or several alike in a row. */
final readonly class TrailLineView
{
    /**
     * @param string             $at          ISO 8601, of the latest where there are several
     * @param string             $did         what was done, as a sentence goes on after the name: `published edition 2 of`
     * @param string             $subject     what it was done to, by its present name
     * @param string             $detail      what else is known of it
     * @param int                $times       how many changes alike came in a row
     * @param TrailUndoView|null $undo        set while the change can still be taken back
     */
    public function __construct(
        public string $id,
        public string $at,
        public string $by,
        public string $did,
        public string $subject,
        public string $subjectKind,
        public string $subjectId,
        public string $detail,
        public int $times,
        public ?TrailUndoView $undo,
    ) {
    }
}
