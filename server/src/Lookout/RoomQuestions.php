<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\RoomQuestionInput;
use ChalkLadder\Server\Lookout\Api\View\RoomQuestionView;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;

/**
 * Any question of the bank, asked in class: a paper of that one question, put away at once so that it stands in nobody's way, handed to
 * the class and shown on its wall. What comes of it counts as any other use of the question does.
 */
final readonly class RoomQuestions
{
    private const ENTRY = 'e1';
    private const LONGEST_TITLE = 100;

    public function __construct(private Bank $bank, private Papers $papers, private Handouts $handouts, private Walls $walls)
    {
    }

    /** Asked again under the same request, it is the same handout. */
    public function ask(StaffUser $who, RoomQuestionInput $input): RoomQuestionView
    {
        $handout = $this->handouts->ofRequest($who->teamId, $input->requestId) ?? $this->handOut($who, $input);
        $this->walls->put($who, $handout, self::ENTRY, false);

        return new RoomQuestionView($handout, self::ENTRY);
    }

    private function handOut(StaffUser $who, RoomQuestionInput $input): string
    {
        $question = $this->bank->show($who->teamId, $input->itemId);
        $title = is_string($question->item['title'] ?? null) ? $question->item['title'] : '';
        $paper = $this->papers->create($who, new PaperInput([
            'version' => 1,
            'title' => mb_substr('In the room: '.$title, 0, self::LONGEST_TITLE),
            'mastery' => null,
            'sections' => [['id' => 's1', 'title' => 'In the room', 'route' => null, 'entries' => [
                ['id' => self::ENTRY, 'kind' => 'question', 'item' => $input->itemId, 'points' => $question->item['points'] ?? '1'],
            ]]],
        ]));
        $edition = $this->papers->publish($who, $paper->id, new PublishInput($paper->version))->editionId ?? '';
        $this->papers->archive($who, $paper->id);
        // Told when the lesson is over: until then the class talks about it.
        $told = FeedbackPlan::of(...array_fill(0, 6, ToldFrom::Closed));

        return $this->handouts->handOut($who, new HandoutInput(
            $edition,
            [$input->classId],
            conditions: (new Conditions(feedback: $told, inRoom: true))->toArray(),
            requestId: $input->requestId,
        ), null);
    }
}
