import { useRouter } from 'expo-router';
import { View } from 'react-native';
import {
  accountsOf,
  pictureAccount,
  setAccounts,
  type PictureAccount,
} from '@/core/costs/accounts';
import { hoursOf, WHOLE, type PictureHours } from '@/core/costs/hours';
import { percentSchema } from '@/core/costs/schema';
import { tubeName } from '@/core/cabinet/tube-names';
import type { Painting } from '@/core/painting';
import { paintingAddress } from '@/features/addresses';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { timer, useSessions } from '@/features/session/useSession';
import { useNumberText } from '@/forms';
import { changePainting } from '@/store/actions';
import { useNow, usePainting, useStoreDispatch } from '@/store/hooks';
import { GoTo } from '@/ui/GoTo';
import { Screen, WIDE } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Table } from '@/ui/Table';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { space, TARGET } from '@/ui/tokens';
import { MoneyField } from './MoneyField';
import { useMoney } from './money-words';
import { OtherCosts } from './OtherCosts';
import { SaleForm } from './SaleForm';
import { Submissions } from './Submissions';
import { useReckoning } from './useReckoning';

/** What a picture took in hours and money, and what an hour of it was worth. */
export function CostsScreen({ id }: { id: string }) {
  const router = useRouter();
  const painting = usePainting(id);
  const now = useNow();
  const sessions = useSessions();
  const reckoning = useReckoning();
  if (!painting) return <NotHereScreen what="That painting" />;
  const account = pictureAccount(painting, reckoning);
  return (
    <Screen
      title="Time and money"
      subtitle={painting.title}
      onBack={() => router.navigate(paintingAddress(id))}
      maxWidth={WIDE}
    >
      <TwoColumns
        left={
          <>
            <Hours painting={painting} hours={hoursOf(painting, sessions, now)} />
            <Cost painting={painting} account={account} />
            <OtherCosts key={`costs:${id}`} painting={painting} />
          </>
        }
        right={
          <>
            <Price painting={painting} account={account} />
            <SaleForm key={`sale:${id}`} painting={painting} />
            <Submissions key={`sent:${id}`} painting={painting} />
            <GoTo
              href="/money"
              onGo={() => router.push('/money')}
              style={{ minHeight: TARGET, justifyContent: 'center' }}
            >
              <Text strong>All pictures by year; currency, brushes, shopping</Text>
            </GoTo>
          </>
        }
      />
    </Screen>
  );
}

const hoursWords = (minutes: number): string => `${timer(minutes)} h`;

function Hours({ painting, hours }: { painting: Painting; hours: PictureHours }) {
  if (hours.minutes === 0)
    return (
      <View style={{ gap: space.s }}>
        <Heading>Hours</Heading>
        <Text tone="ink2">The log has no hours of this picture. They come from its sessions.</Text>
      </View>
    );
  const passage = (key: string): string =>
    key === WHOLE ? 'no passage' : (painting.passages.find((p) => p.id === key)?.name ?? 'gone');
  const rows = [
    ...hours.byKind.map((k) => ({
      key: `k${k.key}`,
      group: 'by kind',
      cells: [
        k.key === 'no-coat' ? 'looking, drawing up, other' : k.key,
        { words: hoursWords(k.minutes), strong: true },
        hours.pace.find((p) => p.role === k.key)
          ? `${Math.round(hours.pace.find((p) => p.role === k.key)!.perHour)}`
          : '',
      ],
    })),
    ...hours.byPassage.map((p) => ({
      key: `p${p.key}`,
      group: 'by passage',
      cells: [passage(p.key), { words: hoursWords(p.minutes), strong: true }, ''],
    })),
  ];
  return (
    <View style={{ gap: space.s }}>
      <Heading>{`${hoursWords(hours.minutes)} at the easel`}</Heading>
      <Table
        name="Where the hours went"
        rowHeads
        columns={[{ head: '' }, { head: 'hours', width: 76 }, { head: 'cm² an hour', width: 92 }]}
        rows={rows}
      />
    </View>
  );
}

function Cost({ painting, account }: { painting: Painting; account: PictureAccount }) {
  const money = useMoney();
  const dispatch = useStoreDispatch();
  const { studyPct } = accountsOf(painting);
  const share = useNumberText(studyPct ?? 100, (value) => {
    const read = percentSchema.safeParse(value);
    if (!read.success) return read.error.issues[0]!.message;
    if (value !== studyPct)
      dispatch(
        changePainting(painting.id, 'Said what the study adds', (p, m) =>
          setAccounts(p, { studyPct: value }, m),
        ),
      );
    return null;
  });
  const sums = [
    { key: 'paint', name: 'Paint laid, waste included', minor: account.paintMinor },
    { key: 'other', name: 'Support, frame and the rest', minor: account.otherMinor },
    { key: 'fees', name: 'Fees of shows', minor: account.feesMinor },
    ...(account.study
      ? [
          {
            key: 'study',
            name: `Share of the study “${account.study.title}”`,
            minor: account.study.minor,
          },
        ]
      : []),
  ];
  return (
    <View style={{ gap: space.s }}>
      <Heading>{`It has cost ${money.say(account.costMinor)}`}</Heading>
      <Table
        name="What it has cost"
        rowHeads
        columns={[{ head: '' }, { head: 'cost', width: 110 }]}
        rows={[
          ...sums.map((s) => ({
            key: s.key,
            cells: [s.name, { words: money.say(s.minor), strong: true }],
          })),
          ...account.paint.map((p) => ({
            key: `t${p.key}`,
            group: 'paint by tube',
            cells: [
              `${p.paint?.name ?? tubeName(p.part)}, ${p.ml.toFixed(1)} ml`,
              p.minor === null ? 'no price' : money.say(p.minor),
            ],
          })),
        ]}
      />
      {account.paintIncomplete ? (
        <Text size="small" tone="ink2">
          Some paint has no price in the cabinet, or is not in it: the cost is a part of the whole.
        </Text>
      ) : null}
      {account.study ? (
        <Stepper
          label="Of the study’s hours and cost this picture bears"
          unit="%"
          step={10}
          min={0}
          max={100}
          {...share}
        />
      ) : null}
    </View>
  );
}

function Price({ painting, account }: { painting: Painting; account: PictureAccount }) {
  const money = useMoney();
  const dispatch = useStoreDispatch();
  const { askedMinor } = accountsOf(painting);
  const perHour = (minor: number | null): string =>
    minor === null ? 'no hours in the log to set it against' : `${money.say(minor)} an hour`;
  return (
    <View style={{ gap: space.s }}>
      <Heading>
        {account.sale
          ? `Sold: ${perHour(account.sale.perHourMinor)}`
          : account.asked
            ? `At the price asked: ${perHour(account.asked.perHourMinor)}`
            : 'Price'}
      </Heading>
      <MoneyField
        label="Price asked"
        minor={askedMinor}
        onMinor={(minor) =>
          dispatch(
            changePainting(painting.id, 'Said the price', (p, m) =>
              setAccounts(p, { askedMinor: minor }, m),
            ),
          )
        }
      />
      {account.sale ? (
        <Text>
          {`Got ${money.say(account.sale.gotMinor)}, commission ${money.say(account.sale.commissionMinor)}, cost ${money.say(account.costMinor)}: ${money.say(account.sale.netMinor)} are left for ${hoursWords(account.allMinutes)}.`}
        </Text>
      ) : account.asked ? (
        <Text>{`After commission and cost ${money.say(account.asked.netMinor)} would be left for ${hoursWords(account.allMinutes)}.`}</Text>
      ) : null}
      {account.neededMinor === null ? (
        <Text size="small" tone="ink2">
          Say under All pictures what an hour should bring, and the price that needs is told here.
        </Text>
      ) : (
        <Text strong>{`For the wanted rate it needs ${money.say(account.neededMinor)}.`}</Text>
      )}
    </View>
  );
}
