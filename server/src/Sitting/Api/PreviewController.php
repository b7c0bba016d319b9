<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api;

use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\Veil;
use ChalkLadder\Core\Sitting\Checking;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Support;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Platform\Http\MapDocument;
use ChalkLadder\Server\Roster\Students;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\Api\Input\PreviewInput;
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\StepInput;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\SittingPage;
use ChalkLadder\Server\Sitting\StoredSitting;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A teacher sits the draft exactly as a student would. Nothing is stored: the way so far is walked again each time. */
#[IsGranted('ROLE_TEACHER')]
final readonly class PreviewController
{
    private const SEED = 'preview';

    public function __construct(private Papers $papers, private SittingPage $page, private Teams $teams, private Students $students)
    {
    }

    #[Route('/papers/{id}/preview', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function preview(#[CurrentUser] StaffUser $who, string $id, #[MapDocument] PreviewInput $input): SittingView
    {
        $edition = $this->papers->draft($who->teamId, $id);
        $conditions = new Conditions(feedback: $input->feedback);
        $times = static fn (array $steps, string $entry, int $try): int => count(array_filter(
            $steps,
            static fn (mixed $s): bool => $s instanceof StepInput && $s->entry === $entry && $s->try === $try,
        ));
        $marked = static fn (array $steps, string $entry, int $try): bool => $times($steps, $entry, $try) > 0;
        $answers = $given = [];
        foreach ($input->saves as $save) {
            $item = $edition->own($save->entry, self::SEED, $save->try)?->item;
            $given[$save->entry][$save->try] = $item === null
                ? $save->value
                : Veil::over(self::SEED, $save->entry)->uncover($item->rule, $save->value);
        }
        $own = static fn (string $entry, int $try): ?OwnItem => $edition->own($entry, self::SEED, $try);
        $checking = new Checking($edition->paper(), $own, $given);
        foreach ($input->saves as $save) {
            if ($edition->has($save->entry)) {
                $value = $given[$save->entry][$save->try];
                $answers[] = new Answer(
                    $save->entry,
                    $save->try,
                    $value,
                    $save->counter,
                    $input->handedIn || $marked($input->settled, $save->entry, $save->try),
                    $checking->outcome($save->entry, $value, $save->try),
                    hintsOpened: $times($input->hints, $save->entry, $save->try),
                    confidence: $save->confidence,
                    working: $save->working,
                );
            }
        }
        foreach ($input->hints as $hint) {
            if ($edition->has($hint->entry) && !$marked(
                array_map(static fn (SaveInput $s): StepInput => new StepInput($s->entry, $s->try), $input->saves),
                $hint->entry,
                $hint->try,
            )) {
                $answers[] = new Answer(
                    $hint->entry,
                    $hint->try,
                    new TextResponse(''),
                    0,
                    false,
                    $checking->outcome($hint->entry, new TextResponse(''), $hint->try),
                    hintsOpened: $times($input->hints, $hint->entry, $hint->try),
                );
            }
        }
        $walk = Walk::start($edition->paper(), $conditions, self::SEED);
        for ($i = 0; $i < $input->left && !$walk->ended; ++$i) {
            $walk = $walk->leave($edition->paper(), $conditions, self::SEED, Answer::outcomes($answers), $edition->machineMarked());
        }
        // The end of a preview shows all that a student will be told when the work comes back.
        $state = $input->handedIn ? SittingState::Returned : SittingState::Open;
        $support = $input->student === null ? new Support() : $this->students->supportOf($who->teamId, $input->student);
        $stored = new StoredSitting(
            self::SEED,
            self::SEED,
            '',
            1,
            $state,
            self::SEED,
            $walk,
            $edition,
            1,
            $conditions,
            $this->teams->markStep($who->teamId),
            new Window(),
            support: $support,
            fewerOptions: $support->fewerOptions,
        );

        return $this->page->draw($who->teamId, $stored, $answers);
    }
}
