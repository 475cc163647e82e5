import { Redirect, useLocalSearchParams } from 'expo-router';

/** Where its food stood before it was a part of its page. */
export default function FeedingRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/residents/${id}?tab=food`} />;
}
