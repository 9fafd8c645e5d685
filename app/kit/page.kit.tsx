import { KitPage } from '@/ui/kit/KitPage';

export const metadata = { title: 'Components' };
export default KitPage;
