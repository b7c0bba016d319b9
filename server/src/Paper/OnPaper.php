<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Paper\Api\Input\OnPaperInput;
use ChalkLadder\Server\Paper\Api\Input\OnPaperLineInput;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Api\View\PaperView;
use ChalkLadder\Server\Paper\ReadModel\PaperList;
use ChalkLadder\Server\Paper\Repository\PaperRepository;
use ChalkLadder\Server\Platform\Storage\Transaction;

/**
 * A quiz whose questions stand on a sheet that the class holds in its hands: students enter letters, numbers or words, and the key is
 * given afterwards. Its questions say nothing by themselves, so they are kept out of the bank's lists.
 */
final readonly class OnPaper
{
    public function __construct(
        private Bank $bank,
        private Papers $papers,
        private PaperRepository $drafts,
        private PaperList $list,
        private Transaction $transaction,
    ) {
    }

    /** Made and published, all of it or nothing; a repeated request id gives the first one's. */
    public function make(StaffUser $who, OnPaperInput $input): PaperView
    {
        $id = $this->transaction->run(function () use ($who, $input): string {
            $again = $this->list->ofRequest($who->teamId, $input->requestId);
            if ($again !== null) {
                return $again;
            }
            $entries = [];
            foreach ($input->lines as $line) {
                for ($i = 0; $i < $line->count; ++$i) {
                    $number = count($entries) + 1;
                    $item = $this->bank->create($who, new ItemInput(self::question($line, $number)))->id;
                    $entries[] = ['id' => "q$number", 'kind' => 'question', 'item' => $item, 'points' => $line->points];
                }
            }
            $this->transaction->write();
            $made = $this->papers->create($who, new PaperInput(['version' => 1, 'title' => trim($input->title), 'mastery' => null,
                'sections' => [['id' => 's1', 'title' => 'On paper', 'route' => null, 'entries' => $entries]]]));
            $this->drafts->find($who->teamId, $made->id)?->madeFor($input->requestId);
            $this->transaction->write();
            $this->papers->publish($who, $made->id, new PublishInput($made->version));
            foreach ($entries as $entry) {
                $this->bank->archive($who, $entry['item']);
            }

            return $made->id;
        });

        return $this->papers->show($who->teamId, $id);
    }

    /** @return array<string, mixed> */
    private static function question(OnPaperLineInput $line, int $number): array
    {
        $letters = array_map(static fn (int $i): string => chr(ord('a') + $i), range(0, $line->options - 1));

        return [
            'version' => 1,
            'type' => $line->kind,
            'title' => "Question $number on paper",
            'prompt' => "<p>Question $number on your sheet</p>",
            'points' => $line->points,
            'skill' => null,
            'hint' => '',
            'explanation' => '',
            'onPaper' => true,
            'rule' => match ($line->kind) {
                'choice' => ['options' => array_map(
                    static fn (string $id): array => ['id' => $id, 'text' => '<p>'.strtoupper($id).'</p>', 'key' => false],
                    $letters,
                )],
                'number' => ['targets' => []],
                default => ['forms' => []],
            },
        ];
    }
}
