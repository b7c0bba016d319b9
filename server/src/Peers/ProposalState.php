<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers;

/** Where a student's question stands; says whose turn it is. */
enum ProposalState: string
{
    /** the teacher's turn */
    case Waiting = 'waiting';
    /** the student's turn, with words of the teacher's */
    case SentBack = 'sent back';
    /** it stands in the bank */
    case LetIn = 'let in';

    /** What others are answering, and what stands in the bank, its writer changes no more. */
    public function mayBeRewritten(bool $shown): bool
    {
        return $this !== self::LetIn && !$shown;
    }
}
