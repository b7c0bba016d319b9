<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteWriter;
use ChalkLadder\Core\Item\Passage\Candidate;
use ChalkLadder\Core\Item\Passage\Reader;
use ChalkLadder\Server\Bank\Api\Input\PassageInput;
use ChalkLadder\Server\Bank\Api\View\CandidatesView;
use ChalkLadder\Server\Bank\Api\View\CandidateView;

/** Questions that a passage offers, each as notes: nothing is kept before a teacher has looked at it. */
final readonly class DrawnQuestions
{
    public function __construct(private QuestionReader $reader)
    {
    }

    public function from(string $teamId, PassageInput $input): CandidatesView
    {
        $names = new Names([], []);

        return new CandidatesView(array_map(function (Candidate $candidate) use ($teamId, $names): CandidateView {
            $item = $this->reader->read($teamId, $candidate->document)->toArray();

            $from = $candidate->from;

            return new CandidateView($candidate->by, $from->place, $from->text, NoteWriter::write($item, $names), $item);
        }, Reader::candidates($input->html)));
    }
}
