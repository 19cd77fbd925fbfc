<?php

declare(strict_types=1);

/*
 * Offers and their sale, as they are told of. Patterns are ICU messages.
 */
return [
    'change_purchase' => [
        'refund_name' => 'Refund {name}',
        'carry_name_on' => 'Carry {name} on',
        'lose_it' => 'lose it',
        'have_it_longer' => 'have it longer',
    ],
    'shop_events' => [
        'nothing_payment_payment_was' => 'nothing: payment {payment} was there already',
        'nothing_now_they_hold' => 'nothing now: they hold an upgrade in its place; paid to {when}',
        'they_back_paid_when' => 'they are back, paid to {when}',
        'paid_to_when' => 'paid to {when}',
        'nothing_payment_payment_has' => 'nothing: payment {payment} has come by now',
        'nothing_they_hold_upgrade' => 'nothing: they hold an upgrade in its place',
        'they_were_written_ends' => 'they were written to; it ends {when}',
        'nothing_was_left_withdraw' => 'nothing was left to withdraw',
        'its_pass_was_withdrawn' => 'its pass was withdrawn',
        'its_passes_passes_were' => 'its {passes} passes were withdrawn',
    ],
    'take_ware' => [
        'give_name_from_when' => 'Give {name} from {when}',
        'take_it' => 'take it',
        'claimed' => 'claimed',
        'bought' => 'bought in the stand-in shop',
        'bought_with' => 'bought in the stand-in shop with {name}',
    ],
    'terms_words' => [
        'once_per_person' => 'once per person',
        'again_once_has_ended' => 'again once it has ended',
        'not_after_another_pass' => 'not after another pass of the course',
        'not_after_list' => 'not after {list}',
        'only_with_label_only' => 'only with the label {only_label}',
        'for_most_at_most' => 'for {most} at most, {left} left',
        'from_when' => 'from {when}',
        'to_when' => 'to {when}',
    ],
];
