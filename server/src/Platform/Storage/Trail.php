<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use ChalkLadder\Server\Identity\StaffUser;

/** Who changed what, and when. Rows are only ever added. */
final readonly class Trail
{
    public function __construct(private Database $database)
    {
    }

    /** @param array<string, mixed> $detail */
    public function note(StaffUser $who, string $act, string $subjectKind, string $subjectId, array $detail = []): void
    {
        $this->database->insert('trail', [
            'id' => $this->database->newId(),
            'team_id' => $who->teamId,
            'staff_id' => $who->id,
            'act' => $act,
            'subject_kind' => $subjectKind,
            'subject_id' => $subjectId,
            'detail' => Json::encode((object) $detail),
            'at' => $this->database->now(),
        ]);
    }
}
