<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** What a student may be told of their work. The values are its names in a {@see FeedbackPlan}. */
enum Told: string
{
    /** right or wrong */
    case Verdict = 'verdict';
    /** words about the answer: the fired line's, a marker's comment, rubric levels reached */
    case Feedback = 'feedback';
    case Marks = 'marks';
    case Key = 'key';
    case WorkedAnswer = 'workedAnswer';
    /** how many of all who had the work were right; never who */
    case ClassPicture = 'classPicture';

    public function inWords(): string
    {
        return match ($this) {
            self::Verdict => 'right or wrong',
            self::Feedback => 'feedback',
            self::Marks => 'marks',
            self::Key => 'the key',
            self::WorkedAnswer => 'the worked answer',
            self::ClassPicture => 'how the class did',
        };
    }

    /** @return non-empty-list<ToldFrom> from which it may be told; counting answers while they still come in would say how others stand */
    public function moments(): array
    {
        return $this === self::ClassPicture ? [ToldFrom::Closed, ToldFrom::Returned, ToldFrom::Never] : ToldFrom::cases();
    }
}
