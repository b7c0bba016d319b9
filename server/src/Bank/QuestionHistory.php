<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Server\Bank\Api\View\HistoryView;
use ChalkLadder\Server\Bank\Api\View\VersionLineView;
use ChalkLadder\Server\Bank\Api\View\VersionView;
use ChalkLadder\Server\Bank\Entity\Question;
use ChalkLadder\Server\Bank\ReadModel\QuestionList;
use ChalkLadder\Server\Bank\ReadModel\Versions;
use ChalkLadder\Server\Bank\Repository\QuestionRepository;
use ChalkLadder\Server\Platform\Http\Problem;

/** What a question said before it was changed. */
final readonly class QuestionHistory
{
    public function __construct(
        private QuestionRepository $questions,
        private QuestionList $list,
        private Versions $versions,
        private RichQuestion $rich,
    ) {
    }

    public function of(string $teamId, string $id): HistoryView
    {
        $question = $this->question($teamId, $id);
        $by = $this->list->hands($question->createdBy(), $question->updatedBy())[1];

        return new HistoryView([new VersionLineView($question->version(), $by, null), ...$this->versions->before($id)]);
    }

    public function version(string $teamId, string $id, int $version): VersionView
    {
        $question = $this->question($teamId, $id);
        $item = $version === $question->version()
            ? $question->content()
            : ItemTemplate::read($this->rich->cleaned($this->versions->content($id, $version) ?? throw Problem::notFound('This version')));

        return new VersionView($version, $item->toArray());
    }

    private function question(string $teamId, string $id): Question
    {
        return $this->questions->find($teamId, $id) ?? throw Problem::notFound('The question');
    }
}
