<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Item\Response;

/** That an answer stands as a teacher has corrected it. */
final readonly class CorrectedAnswer
{
    /**
     * @param string   $id    of the correction
     * @param Response $given by the student
     * @param string   $by    the teacher's name
     */
    public function __construct(public string $id, public Response $given, public string $why, public string $by, public string $at)
    {
    }
}
