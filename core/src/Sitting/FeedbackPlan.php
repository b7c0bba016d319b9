<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** What a student is told, and when. On return the teacher's act decides; nothing else ever shows a key. */
enum FeedbackPlan: string
{
    case Nothing = 'nothing';
    /** Right or wrong, and the line's feedback, as soon as an answer is settled. The key itself stays hidden. */
    case AtOnce = 'at once';
    /** Everything the machine knows, when the student has handed in. */
    case AfterHandIn = 'after hand-in';
    case OnReturn = 'on return';

    /** May the student see how a settled answer stands while the sitting is open? */
    public function tellsAtOnce(): bool
    {
        return $this === self::AtOnce;
    }

    /** May the student see marks, feedback, keys and explanations now? */
    public function tellsAll(SittingState $state): bool
    {
        return match ($this) {
            self::Nothing => false,
            self::AfterHandIn => $state === SittingState::HandedIn || $state === SittingState::Marked || $state === SittingState::Returned,
            self::AtOnce, self::OnReturn => $state === SittingState::Returned,
        };
    }
}
